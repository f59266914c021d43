import type { ReactNode } from 'react';
import type { SectionView } from '../../../core/storefront/pages/sections/sections';

const grounds = {
  plain: '',
  soft: 'bg-mist',
  tint: 'bg-tint',
  deep: 'on-deep bg-deep text-white',
};
const widths = { text: 'mx-auto max-w-3xl px-4', page: 'mx-auto max-w-7xl px-4 lg:px-8', full: '' };
const room = {
  above: { none: '', small: 'pt-3', usual: 'pt-7', large: 'pt-16' },
  below: { none: '', small: 'pb-3', usual: 'pb-7', large: 'pb-16' },
  grounded: {
    above: { none: '', small: 'pt-6', usual: 'pt-12', large: 'pt-20' },
    below: { none: '', small: 'pb-6', usual: 'pb-12', large: 'pb-20' },
  },
};
const screens = { all: '', wide: 'max-md:hidden', phone: 'md:hidden' };

/** What stands around every section: its ground over the whole width, its room, and where links to it lead. */
export function Frame({ section, children }: { section: SectionView; children: ReactNode }) {
  const { id, ground, width, above, below, screen, anchor, unseen } = section;
  const { above: tops, below: bottoms } = ground === 'plain' ? room : room.grounded;
  return (
    <section
      id={anchor || undefined}
      data-section={id}
      data-unseen={unseen}
      className={`${grounds[ground]} ${tops[above]} ${bottoms[below]} ${screens[screen]} scroll-mt-4`}
    >
      <div className={widths[width]}>{children}</div>
    </section>
  );
}
