import type { ComponentType } from 'react';
import type { SectionKind } from '../../../core/model/sections/sections';
import type { SectionView } from '../../../core/storefront/pages/sections/sections';
import { Banner } from './banner';
import type { SectionProps } from './section-props';
import { Strip } from './strip';
import { Tiles } from './tiles';

const looks: { [Kind in SectionKind]: ComponentType<SectionProps<Kind>> } = {
  banner: Banner,
  strip: Strip,
  tiles: Tiles,
};

/** Sections that, at the top of a page, carry its heading. */
const headings: ReadonlySet<SectionKind> = new Set(['banner']);

/** Whether the first section of a page says what the page is. */
export const isHeaded = ([first]: readonly SectionView[]) => !!first && headings.has(first.kind);

export function Sections({ sections }: { sections: readonly SectionView[] }) {
  return (
    <div className="flex flex-col gap-14">
      {sections.map((section, at) => {
        const Look = looks[section.kind] as ComponentType<SectionProps<SectionKind>>;
        return <Look key={section.id} section={section} at={at} />;
      })}
    </div>
  );
}
