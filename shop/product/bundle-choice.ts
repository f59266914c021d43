import type { BundleView } from '../../core/storefront/views';
import { lessPercent } from '../../core/pricing/price';
import { say } from '../tongue';

type SlotView = BundleView['slots'][number];

/** Slot id → variant id → chosen pieces. */
export type BundleChoice = Readonly<Record<string, Readonly<Record<string, number>>>>;

const variantsOf = (slot: SlotView) => slot.parts.flatMap((part) => part.variants);
const piecesOf = (choice: BundleChoice, slot: SlotView) =>
  Object.values(choice[slot.id] ?? {}).reduce((sum, pieces) => sum + pieces, 0);

/** What stands in a slot before the shopper chooses: its usual product first, then what can be had, up to the fewest. */
function startOf(slot: SlotView): Record<string, number> {
  const usual = slot.parts.find(({ id }) => id === slot.usual);
  const inOrder = usual ? [usual, ...slot.parts.filter((part) => part !== usual)] : slot.parts;
  const chosen: Record<string, number> = {};
  let left = slot.min;
  for (const { id, most } of inOrder.flatMap((part) => part.variants)) {
    const pieces = Math.min(left, most);
    if (pieces > 0) chosen[id] = pieces;
    left -= pieces;
  }
  return chosen;
}

export const startChoice = ({ slots }: BundleView): BundleChoice =>
  Object.fromEntries(slots.map((slot) => [slot.id, startOf(slot)]));

/** Pieces of one variant of a slot: no more than there are, nor than the slot takes. A slot for one piece changes over. */
export function choose(choice: BundleChoice, slot: SlotView, variantId: string, pieces: number): BundleChoice {
  const variant = variantsOf(slot).find(({ id }) => id === variantId);
  if (!variant) return choice;
  const before = slot.max === 1 ? {} : (choice[slot.id] ?? {});
  const { [variantId]: _own, ...others } = before;
  const taken = Object.values(others).reduce((sum, n) => sum + n, 0);
  const allowed = Math.max(0, Math.min(pieces, variant.most, slot.max - taken));
  return { ...choice, [slot.id]: allowed > 0 ? { ...others, [variantId]: allowed } : others };
}

export interface BundleSum {
  /** what the chosen pieces cost one by one, and in the bundle; minor units */
  singly: number;
  together: number;
}

/** `fixed`: price of the bundle where its parts do not make it. */
export function sumOf({ off, slots }: BundleView, choice: BundleChoice, fixed: number): BundleSum {
  let singly = 0;
  for (const slot of slots)
    for (const { id, price } of variantsOf(slot)) singly += price * (choice[slot.id]?.[id] ?? 0);
  return { singly, together: off === null ? fixed : lessPercent(singly, off) };
}

/** What is still to be chosen, in words; null when the bundle can be had as chosen. */
export function missingOf({ slots }: BundleView, choice: BundleChoice): string | null {
  for (const slot of slots) {
    const more = slot.min - piecesOf(choice, slot);
    if (more <= 0) continue;
    const there = variantsOf(slot).reduce((sum, { most }) => sum + most, 0);
    if (there < slot.min) return say('bundle.slotSoldOut', { label: slot.label });
    return say('bundle.chooseMore', { count: more, label: slot.label });
  }
  return slots.some((slot) => piecesOf(choice, slot) > 0) ? null : say('bundle.chooseAny');
}
