/** @jsxImportSource preact */
import { render } from 'preact';
import type { EmbedView } from '../../core/storefront/embed-view';
import { EmbedBasket } from './basket';
import { Goods } from './goods';
import { style } from './style';

const NAME = 'dispona-goods';

const views = new Map<string, EmbedView>();
const origin = new URL(import.meta.url).origin;
const basket = new EmbedBasket(origin);

let sheet: CSSStyleSheet | undefined;

/** Goods of a shop, wherever the element stands. Its styles and those of the page do not meet. */
class DisponaGoods extends HTMLElement {
  #view: EmbedView | undefined;

  connectedCallback(): void {
    const view = views.get(this.getAttribute('of') ?? '');
    if (view) this.show(view);
  }

  show(view: EmbedView): void {
    if (this.#view === view) return;
    this.#view = view;
    if (!sheet) (sheet = new CSSStyleSheet()).replaceSync(style);
    const root = this.shadowRoot ?? this.attachShadow({ mode: 'open' });
    root.adoptedStyleSheets = [sheet];
    render(<Goods view={view} basket={basket} origin={origin} />, root);
  }
}

// Two snippets on one page bring the same element.
if (!customElements.get(NAME)) customElements.define(NAME, DisponaGoods);

/** Shows goods in each element of the page that is for them, and in those that come later. */
export function show(view: EmbedView): void {
  views.set(view.id, view);
  for (const element of document.querySelectorAll<DisponaGoods>(`${NAME}[of="${view.id}"]`)) element.show(view);
}
