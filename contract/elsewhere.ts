import { z } from 'zod';
import { someEmbedSchema, type Embed } from '../core/model/embed';
import { feedSchema, someFeedSchema } from '../core/model/feed';
import { idSchema } from '../core/shared/identity';
import { embedViewSchema } from '../core/storefront/embed-view';
import { keyScopes, route } from './route';
import { sectionNoteSchema } from './shopfront';
import { wasOf } from './was';

const whole = z.number().int();
const ok = z.object({ ok: z.literal(true) });
const name = z.string().trim().min(1, 'It needs a name.').max(120, 'At most 120 characters.');
const ids = z.array(idSchema).max(500, 'At most 500 goods.');

/** Stored ones are whole, each strip with its id; only what is written is checked again. */
const storedEmbed = z.custom<Embed>();

const embedRow = z.object({
  embed: storedEmbed,
  /** goods that it shows now */
  goods: whole,
  isLive: z.boolean(),
});
export type EmbedRow = z.infer<typeof embedRow>;

const verdict = z.object({ productId: z.string(), title: z.string(), variantId: z.string(), why: z.array(z.string()) });

const feedRow = z.object({
  feed: feedSchema,
  /** where it is fetched; nobody guesses it */
  address: z.string(),
  goods: whole,
  isLive: z.boolean(),
  fetched: z.string().nullable(),
  fetches: whole,
  /** what its channel makes of the entries, as they are live */
  channel: z.object({ name: z.string(), taken: whole, refused: whole }).nullable(),
});
export type FeedRow = z.infer<typeof feedRow>;

const apiKey = z.object({
  id: z.string(),
  name: z.string(),
  begins: z.string(),
  scopes: z.array(z.enum(keyScopes)),
  created: z.string(),
  used: z.string().nullable(),
});
export type ApiKey = z.infer<typeof apiKey>;

export const elsewhereRoutes = {
  embeds: route({
    method: 'GET',
    path: '/api/embeds',
    summary: 'Goods that stand in pages of other sites',
    answer: z.object({ embeds: z.array(embedRow), origin: z.string() }),
  }),
  addEmbed: route({
    method: 'POST',
    path: '/api/embeds',
    summary: 'Make goods for a page of another site: of everything, picked ones, or like others',
    body: z.strictObject({ name, ids: ids.optional(), like: idSchema.optional() }),
    answer: z.object({ id: z.string() }),
  }),
  changeEmbed: route({
    method: 'PATCH',
    path: '/api/embeds/:id',
    summary: 'Change goods on another site; shoppers meet it with the next edition',
    body: someEmbedSchema.extend({ was: wasOf(someEmbedSchema.shape) }),
    answer: z.object({ embed: storedEmbed }),
  }),
  deleteEmbed: route({ method: 'DELETE', path: '/api/embeds/:id', summary: 'Take goods off another site', answer: ok }),
  drawEmbed: route({
    method: 'POST',
    path: '/api/embeds/:id/drawn',
    summary: 'What would be shown elsewhere with these fields; nothing is saved',
    body: someEmbedSchema,
    answer: z.object({ view: embedViewSchema, note: sectionNoteSchema }),
  }),
  feeds: route({
    method: 'GET',
    path: '/api/feeds',
    summary: 'Feeds, with what their channels make of them; what fields can hold, and the channels',
    answer: z.object({
      feeds: z.array(feedRow),
      values: z.array(z.object({ key: z.string(), label: z.string() })),
      channels: z.array(z.object({ key: z.string(), name: z.string(), about: z.string(), asks: z.array(z.string()) })),
    }),
  }),
  addFeed: route({
    method: 'POST',
    path: '/api/feeds',
    summary: 'Make a feed: plain, for a channel, or like another',
    body: z.strictObject({
      name,
      channel: z.string().max(40).nullable().default(null),
      like: idSchema.optional(),
      ids: ids.optional(),
    }),
    answer: z.object({ id: z.string() }),
  }),
  changeFeed: route({
    method: 'PATCH',
    path: '/api/feeds/:id',
    summary: 'Change a feed; whoever fetches it meets that with the next edition',
    body: someFeedSchema.extend({ was: wasOf(someFeedSchema.shape) }),
    answer: z.object({ feed: feedSchema }),
  }),
  deleteFeed: route({ method: 'DELETE', path: '/api/feeds/:id', summary: 'Delete a feed', answer: ok }),
  newAddress: route({
    method: 'POST',
    path: '/api/feeds/:id/address',
    summary: 'Give a feed another address; the one before leads nowhere at once',
    answer: z.object({ address: z.string() }),
  }),
  previewFeed: route({
    method: 'POST',
    path: '/api/feeds/:id/preview',
    summary: 'The first entries of a feed as the working copy has it, as text; nothing is saved',
    body: someFeedSchema,
    answer: z.object({ entries: whole, text: z.string() }),
    waits: false,
  }),
  verdicts: route({
    method: 'GET',
    path: '/api/feeds/:id/verdicts',
    summary: 'What the channel of a feed refuses, and why, as the working copy has it',
    query: z.object({
      offset: z.coerce.number().int().min(0).default(0),
      limit: z.coerce.number().int().min(1).max(200).default(50),
    }),
    answer: z.object({ taken: whole, refused: whole, refusals: z.array(verdict) }),
  }),
  productChannels: route({
    method: 'GET',
    path: '/api/products/:id/channels',
    summary: 'What channels make of a product, as the working copy has it',
    answer: z.object({
      channels: z.array(z.object({ feedId: z.string(), name: z.string(), entries: whole, why: z.array(z.string()) })),
    }),
  }),
  keys: route({
    method: 'GET',
    path: '/api/keys',
    summary: 'Keys with which programs read what the shop holds',
    answer: z.object({ keys: z.array(apiKey) }),
    owner: true,
  }),
  addKey: route({
    method: 'POST',
    path: '/api/keys',
    summary: 'Make a key; it is told this once',
    body: z.strictObject({ name, scopes: z.array(z.enum(keyScopes)).min(1, 'Choose at least one thing to read.') }),
    answer: z.object({ key: z.string() }),
    owner: true,
  }),
  dropKey: route({
    method: 'DELETE',
    path: '/api/keys/:id',
    summary: 'Take a key back; it opens nothing from now on',
    answer: ok,
    owner: true,
  }),
};
