import { z } from 'zod';
import { placedPictureSchema } from './sections/picture';
import { linkSchema } from './target';
import { translatable } from './translatable';

const picture = placedPictureSchema.nullable();

/** The pictures that a shop is known by. */
export const signsSchema = z.object({
  /** instead of the name at the head of each page */
  logo: picture,
  /** the same for dark grounds; null where the logo can be read on both */
  logoOnDark: picture,
  /** height of the logo at the head, in pixels */
  logoHeight: z.number().int().min(20, 'At least 20 pixels.').max(96, 'At most 96 pixels.'),
  /** what browsers show in their tabs; the logo where it is null */
  icon: picture,
  /** shown where somebody shares a link to a page that has no picture of its own */
  shared: picture,
});
export type Signs = z.infer<typeof signsSchema>;

export const noSigns: Signs = { logo: null, logoOnDark: null, logoHeight: 36, icon: null, shared: null };

/** A line at the top of every page. */
export const noticeSchema = z.object({
  /** empty: there is none */
  text: translatable(z.string().trim().max(160, 'A notice can have at most 160 characters.'), 'notice'),
  link: linkSchema.nullable(),
});
export type Notice = z.infer<typeof noticeSchema>;

export const noNotice: Notice = { text: '', link: null };
