import type { ComponentType } from 'react';
import type { SectionKind } from '../../../core/model/sections/sections';
import type { SectionView } from '../../../core/storefront/pages/sections/sections';
import { Banner } from './banner';
import { Facts } from './facts';
import { Film } from './film';
import { Frame } from './frame';
import { Line } from './line';
import { Listing } from './listing';
import { Pictures } from './pictures';
import { PictureText } from './picture-text';
import { Product } from './product';
import { Questions } from './questions';
import { Quotes } from './quotes';
import type { SectionProps } from './section-props';
import { Strip } from './strip';
import { Subscribe } from './subscribe';
import { Text } from './text';
import { Tiles } from './tiles';

const looks: { [Kind in SectionKind]: ComponentType<SectionProps<Kind>> } = {
  banner: Banner,
  strip: Strip,
  tiles: Tiles,
  product: Product,
  listing: Listing,
  text: Text,
  pictureText: PictureText,
  pictures: Pictures,
  film: Film,
  quotes: Quotes,
  facts: Facts,
  questions: Questions,
  subscribe: Subscribe,
  line: Line,
};

/** The heading that a section draws; '' when it has none. */
function headingOf(section: SectionView): string {
  if (section.kind === 'banner') return section.slides[0]?.title ?? '';
  if (section.kind === 'product') return section.title || (section.product?.title ?? '');
  return 'title' in section ? section.title : '';
}

/** Whether the first section of a page says what the page is. */
export const isHeaded = ([first]: readonly SectionView[]) => !!first && headingOf(first) !== '';

export type SectionsProps = Pick<SectionProps<SectionKind>, 'url' | 'currency' | 'go'> & {
  sections: readonly SectionView[];
  /** whether a heading stands before them */
  isBelowHeading?: boolean;
};

export const Sections = ({ sections, isBelowHeading = false, ...rest }: SectionsProps) =>
  sections.map((section, at) => {
    const Look = looks[section.kind] as ComponentType<SectionProps<SectionKind>>;
    return (
      <Frame key={section.id} section={section}>
        <Look section={section} at={at} isFirst={at === 0 && !isBelowHeading} {...rest} />
      </Frame>
    );
  });
