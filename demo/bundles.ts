import type { Bundle, Slot } from '../core/model/bundle';
import type { Rule } from '../core/model/rule';
import type { DemoProduct } from './lark-and-line';

/** A bundle of the demo shop; its slots name products by title, or by a tag within a category. */
export interface DemoBundle extends Omit<DemoProduct, 'kind'> {
  slots: {
    label: string;
    of: string[] | { tag: string; within: string };
    min?: number;
    max?: number;
    usual?: string;
  }[];
  /** percent off the parts; a fixed price when absent */
  off?: number;
}

const gifts = { category: 'Gifts', brand: 'Lark & Line' };

export const bundles: DemoBundle[] = [
  {
    ...gifts,
    title: 'Starter kit',
    shape: 'flock',
    price: 40,
    summary: 'Pick a first kite, a line and a reel. We put them into one bag.',
    tags: ['gift', 'first kite'],
    featured: true,
    off: 10,
    slots: [
      { label: 'Kite', of: { tag: 'first kite', within: 'Kites' }, usual: 'Harrier delta 180' },
      { label: 'Line', of: ['Twisted line 50 m', 'Braided line', 'Night line 50 m'] },
      { label: 'Reel', of: ['Hoop winder', 'Pocket winder', 'Child’s reel', 'Beech reel'] },
      { label: 'Tail', of: ['Ribbon tail 6 m', 'Streamer pair 3 m'], min: 0 },
    ],
  },
  {
    ...gifts,
    title: 'Repair kit',
    category: 'Connectors & tape',
    shape: 'connector',
    price: 18.5,
    summary: 'What most evenings at the kitchen table need, in one tin.',
    tags: ['repair', 'under 25'],
    slots: [
      { label: 'Tape', of: ['Ripstop repair tape'] },
      { label: 'Ferrules', of: ['Ferrule pack'] },
      { label: 'Caps', of: ['Vinyl end caps'], min: 2, max: 2 },
      { label: 'Needle', of: ['Needle and thread kit'] },
    ],
  },
  {
    ...gifts,
    title: 'Night flight set',
    shape: 'delta',
    price: 90,
    summary: 'A kite that answers a torch, and a line that you can still find.',
    tags: ['gift', 'night'],
    off: 8,
    slots: [
      { label: 'Kite', of: ['Dusk delta 160', 'Lantern box'] },
      { label: 'Line', of: ['Night line 50 m'] },
      { label: 'Tail', of: ['Glow tail 4 m'], min: 1, max: 2 },
    ],
  },
  {
    ...gifts,
    title: 'Tails by colour',
    category: 'Tails & windsocks',
    shape: 'tail',
    price: 20,
    summary: 'Everything that flutters, side by side. Take one, or all.',
    tags: ['colour'],
    off: 5,
    slots: [
      { label: 'Ribbons', of: ['Ribbon tail 6 m', 'Streamer pair 3 m'], min: 0, max: 4 },
      { label: 'Tubes', of: ['Tube tail 10 m', 'Spinning tail'], min: 0, max: 2 },
      { label: 'For large kites', of: ['Comet tail 15 m', 'Jellyfish tail'], min: 0, max: 1 },
    ],
  },
];

interface Ids {
  product: (title: string) => string;
  tag: (name: string) => string;
  category: (name: string) => string;
  slot: () => string;
}

export function bundleOf({ slots, off }: DemoBundle, ids: Ids): Bundle {
  const rule = (tag: string, within: string): Rule => ({
    match: 'all',
    of: [
      { field: 'tag', is: 'anyOf', value: [ids.tag(tag)] },
      { field: 'category', is: 'anyOf', value: [ids.category(within)] },
    ],
  });
  return {
    slots: slots.map(({ label, of, min = 1, max = Math.max(1, min), usual }): Slot => ({
      id: ids.slot(),
      label,
      from: Array.isArray(of)
        ? { how: 'picked', ids: of.map(ids.product) }
        : { how: 'rule', rule: rule(of.tag, of.within) },
      min,
      max,
      usual: usual === undefined ? null : ids.product(usual),
    })),
    pricing: off === undefined ? { how: 'fixed' } : { how: 'parts', off: off * 100 },
  };
}
