import type { ComponentType } from 'react';
import type { SectionKind } from '../../../../core/model/sections/sections';
import { BannerFields } from './banner-fields';
import { FactsFields } from './facts-fields';
import { FilmFields } from './film-fields';
import { LineFields } from './line-fields';
import { ListingFields } from './listing-fields';
import { PictureTextFields } from './picture-text-fields';
import { PicturesFields } from './pictures-fields';
import { ProductFields } from './product-fields';
import { QuestionsFields } from './questions-fields';
import { QuotesFields } from './quotes-fields';
import type { SectionFieldsProps } from './section-fields';
import { StripFields } from './strip-fields';
import { SubscribeFields } from './subscribe-fields';
import { TextFields } from './text-fields';
import { TilesFields } from './tiles-fields';

const fields: { [Kind in SectionKind]: ComponentType<SectionFieldsProps<Kind>> } = {
  banner: BannerFields,
  strip: StripFields,
  tiles: TilesFields,
  product: ProductFields,
  listing: ListingFields,
  text: TextFields,
  pictureText: PictureTextFields,
  pictures: PicturesFields,
  film: FilmFields,
  quotes: QuotesFields,
  facts: FactsFields,
  questions: QuestionsFields,
  subscribe: SubscribeFields,
  line: LineFields,
};

/** The fields of a section, whatever its sort. */
export const fieldsOfSection = (kind: SectionKind) => fields[kind] as ComponentType<SectionFieldsProps<SectionKind>>;
