import type { PictureView } from '../../views';
import { faceOfPlace } from '../place-goods';
import { targetLink, type LinkView } from '../targets';
import type { SectionPart } from './section-part';

interface BannerView {
  kind: 'banner';
  title: string;
  text: string;
  link: LinkView | null;
  picture: PictureView | null;
}

export const banner: SectionPart<'banner', BannerView> = {
  view: (shop, { title, text, link }, now) => ({
    kind: 'banner',
    title,
    text,
    link: (link && targetLink(shop, link)) ?? null,
    picture: link && link.kind !== 'page' ? faceOfPlace(shop, { kind: link.kind, id: link.id }, now) : null,
  }),
  title: (_shop, { title }) => title,
  summary: () => ({ faces: [], shown: 0, available: 0, warnings: [] }),
};
