import type { FrameView } from '../core/storefront/frame-view';
import type { ProductPageView } from '../core/storefront/product-page-view';
import type { PageView } from '../core/storefront/pages/page-view';

/** Said by the desk to the storefront in its frame, which then draws itself again from fresh data. */
export const REDRAW = 'dispona:redraw';

/** Said by the storefront to the desk around it, when it is ready to be told what is being typed. */
export const READY = 'dispona:ready';

/** What is being typed in the desk and is not saved yet; the storefront in the frame draws it over what is saved. */
export type Typed =
  | {
      of: 'product';
      id: string;
      fields: { title?: string; summary?: string; description?: string };
      /** prices of variants in minor units, by id */
      prices: Readonly<Record<string, number>>;
    }
  | { of: 'listing'; /** address of its page in the shop */ url: string; fields: { title?: string; text?: string } }
  | { of: 'page'; id: string; /** the page as it would be drawn now */ drawn: PageView }
  | { of: 'shop'; fields: Partial<FrameView> }
  /** how all product pages are laid out that have no layout of their own */
  | { of: 'productPages'; fields: Pick<ProductPageView, 'layout' | 'promises' | 'trust'> };

/** Carries what is typed now, as a whole; nothing when all of it is saved. */
export interface TypedMessage {
  dispona: 'typed';
  typed: readonly Typed[];
}

export const isTypedMessage = (data: unknown): data is TypedMessage =>
  typeof data === 'object' && data !== null && (data as { dispona?: unknown }).dispona === 'typed';

/** Said by the desk: sections can be pointed at, chosen and typed in; null ends it. */
export interface BuildingMessage {
  dispona: 'building';
  /** id of the section that is chosen, with its name */
  chosen: { id: string; name: string } | null;
  /** what sections are called, by id */
  names: Readonly<Record<string, string>>;
}

export const isBuildingMessage = (data: unknown): data is BuildingMessage =>
  typeof data === 'object' && data !== null && (data as { dispona?: unknown }).dispona === 'building';

/** Said by the storefront to the desk while a page is being built on it. */
export type BuildingEvent =
  | { dispona: 'chose'; id: string }
  | { dispona: 'typed words'; id: string; field: string; words: string }
  /** a section is to come before the one at this place */
  | { dispona: 'add at'; at: number }
  /** a section was dragged to another place */
  | { dispona: 'moved'; id: string; to: number }
  /** Ctrl/Cmd and Z was pressed while the page had the focus, with Shift to do it again */
  | { dispona: 'undo'; again: boolean }
  /** products were dropped on a section */
  | { dispona: 'dropped'; id: string; products: readonly string[] };

const eventNames = new Set(['chose', 'typed words', 'add at', 'moved', 'undo', 'dropped']);
export const isBuildingEvent = (data: unknown): data is BuildingEvent =>
  typeof data === 'object' && data !== null && eventNames.has((data as { dispona?: string }).dispona ?? '');
