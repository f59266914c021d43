import type { ProductView } from '../../core/storefront/views';
import { Check } from 'lucide-react';
import { RichText } from '../ui/rich-text';
import { Folding } from './folding';
import { say } from '../tongue';

/** What a shopper wants to know of getting it: how heavy, how soon. */
export function DeliveryFacts({ facts, folded }: { facts: ProductView['delivery']; folded: boolean }) {
  const list = (
    <dl className={`flex flex-wrap gap-x-8 gap-y-2 text-sm ${folded ? '' : 'mt-6'}`}>
      {facts.map(({ label, value }) => (
        <div key={label}>
          <dt className="text-ink-soft">{label}</dt>
          <dd className="font-medium text-ink">{value}</dd>
        </div>
      ))}
    </dl>
  );
  return folded ? (
    <Folding id="delivery" title={say('product.delivery')} folded>
      {list}
    </Folding>
  ) : (
    list
  );
}

/** What the seller promises of every product that is sent. */
export const Promises = ({ delivery, returns, folded }: { delivery: string; returns: string; folded: boolean }) => (
  <Folding
    id="promises"
    title={
      delivery && returns ? say('product.deliveryReturns') : delivery ? say('product.delivery') : say('product.returns')
    }
    folded={folded}
  >
    <div className="flex flex-col gap-3 whitespace-pre-line break-words text-sm leading-relaxed text-ink-soft">
      {delivery && <p>{delivery}</p>}
      {returns && <p>{returns}</p>}
    </div>
  </Folding>
);

export const TrustFacts = ({ facts }: { facts: readonly string[] }) => (
  <ul className="mt-6 flex flex-col gap-1.5 text-sm text-ink">
    {facts.map((fact) => (
      <li key={fact} className="flex items-start gap-2">
        <Check size={16} className="mt-0.5 shrink-0 text-sea" aria-hidden="true" />
        <span className="min-w-0 break-words">{fact}</span>
      </li>
    ))}
  </ul>
);

/** The seller's rich text; it needs no heading unless it is folded. */
export function Description({ html, title, folded }: { html: string; title: string; folded: boolean }) {
  const text = <RichText html={html} />;
  return folded ? (
    <Folding id="description" title={say('product.about', { title })} folded>
      {text}
    </Folding>
  ) : (
    <div className="mt-8 border-t border-line pt-6">{text}</div>
  );
}
