import type { ComponentType } from 'react';
import type { SectionKind } from '../../../../core/model/sections/sections';
import { BannerFields } from './banner-fields';
import type { SectionFieldsProps } from './section-fields';
import { StripFields } from './strip-fields';
import { TilesFields } from './tiles-fields';

const fields: { [Kind in SectionKind]: ComponentType<SectionFieldsProps<Kind>> } = {
  banner: BannerFields,
  strip: StripFields,
  tiles: TilesFields,
};

/** The fields of a section, whatever its sort. */
export const fieldsOfSection = (kind: SectionKind) => fields[kind] as ComponentType<SectionFieldsProps<SectionKind>>;
