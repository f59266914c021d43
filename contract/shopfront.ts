import { z } from 'zod';
import { idSchema, slugSchema } from '../core/shared/identity';
import { legalKeys } from '../core/legal/legal-pages';
import { patternKeys } from '../core/model/page-patterns';
import { pageSchema, pageSettings } from '../core/model/page';
import { sectionBodySchema } from '../core/model/sections/sections';
import { domainSchema } from '../core/model/shop-contact';
import { settingsSchema, someSettingsSchema } from '../core/model/settings';
import { eachMenu, menus, menuSchema, wantedItemSchema } from '../core/model/menu';
import { groupTargetSchema, targetSchema } from '../core/model/target';
import { ruleSchema } from '../core/model/rule';
import type { PageView } from '../core/storefront/pages/page-view';
import { placeOfProductSchema } from '../core/storefront/views';
import { route } from './route';
import { wasOf } from './was';

const pageTitle = z.string().trim().min(1, 'A page needs a title.').max(120, 'At most 120 characters.');
const newOrOld = idSchema.nullable();

/** What a section shows now: its goods with the reason of each, and anything odd about it. */
const toldProduct = { id: z.string(), title: z.string(), thumbnail: z.string().nullable() };
export const sectionNoteSchema = z.object({
  id: z.string(),
  name: z.string(),
  says: z.string(),
  /** why shoppers do not see it now */
  unseen: z.string().nullable(),
  /** in order, each with the reason */
  goods: z.array(z.object({ ...toldProduct, why: z.enum(['pinned', 'picked', 'ordered', 'turn']) })),
  /** who would stand here otherwise */
  skipped: z.array(
    z.object({
      ...toldProduct,
      why: z.enum(['above', 'soldOut', 'noPicture', 'leftOut']),
      /** name of the section above that has it */
      above: z.string().nullable(),
    }),
  ),
  shown: z.number().int(),
  available: z.number().int(),
  warnings: z.array(z.string()),
});

const floorPartSchema = z.object({
  id: z.string(),
  kind: z.string(),
  name: z.string(),
  says: z.string(),
  goods: z.array(
    z.object({
      id: z.string(),
      thumbnail: z.string().nullable(),
      position: z.number().int(),
      isLit: z.boolean(),
      isSoldOut: z.boolean(),
    }),
  ),
  total: z.number().int(),
  lit: z.number().int(),
  warnings: z.array(z.string()),
  unseen: z.string().nullable(),
});

const floorPlaceSchema = z.object({
  kind: targetSchema.shape.kind,
  id: z.string(),
  name: z.string(),
  clicks: z.number().int().nullable(),
  unseen: z.string().nullable(),
  parts: z.array(floorPartSchema),
  lit: z.number().int(),
  /** ids of products that stand on it more than once */
  repeats: z.array(z.string()),
});

const wantedSections = z
  .array(z.intersection(sectionBodySchema, z.object({ id: newOrOld })))
  .max(60, 'A page can have at most 60 sections.');
const pageFields = {
  title: pageTitle,
  slug: slugSchema,
  sections: wantedSections,
};
/** What a page says of itself, without what stands for a field that is not sent. */
const settingFields = Object.fromEntries(
  Object.entries(pageSettings).map(([name, schema]) => [name, schema.removeDefault()]),
) as { [Name in keyof typeof pageSettings]: ReturnType<(typeof pageSettings)[Name]['removeDefault']> };
const changeFields = { ...pageFields, ...settingFields };
const menuFields = eachMenu((name) => z.array(wantedItemSchema).max(menus[name].most, menus[name].tooMany));

const openingSchema = z.object({
  isClosed: z.boolean(),
  message: z.string(),
  hasPassword: z.boolean(),
  /** what shoppers would miss, where it is mended, and for goods the rule that finds them */
  missing: z.array(
    z.object({
      words: z.string(),
      at: z.enum(['review', 'goods', 'shopfront', 'menu']),
      rule: ruleSchema.nullable(),
    }),
  ),
});

const legalSchema = z.object({
  pages: z.array(
    z.object({
      key: z.enum(legalKeys),
      title: z.string(),
      /** of the page with its address; null where there is none */
      pageId: z.string().nullable(),
      /** it can be reached from the foot of the shop */
      isAtFoot: z.boolean(),
      /** what the settings would have to say */
      blanks: z.array(z.string()),
    }),
  ),
});

export const shopfrontRoutes = {
  pages: route({
    method: 'GET',
    path: '/api/pages',
    summary: 'All pages with their sections, and from where shoppers reach each',
    answer: z.object({
      pages: z.array(pageSchema),
      /** by id of a page: from where shoppers reach it */
      ways: z.record(z.string(), z.array(z.string())),
    }),
  }),
  notMet: route({
    method: 'GET',
    path: '/api/not-met',
    summary: 'Why shoppers do not meet pages and groups, for where one is chosen',
    /** by kind and id; those that they meet are not named */
    answer: z.object({ notMet: z.record(z.string(), z.string()) }),
  }),
  floor: route({
    method: 'POST',
    path: '/api/floor',
    waits: false,
    summary:
      'All pages drawn small: what stands on each, how far it is from the home page, and where what is lit shows',
    body: z.object({
      /** products, or a group whose products are meant */
      lit: z
        .union([
          z.object({ ids: z.array(idSchema).max(5_000) }),
          z.object({ target: targetSchema }),
          z.object({ rule: ruleSchema }),
        ])
        .nullable()
        .default(null),
    }),
    answer: z.object({
      lit: z.number().int(),
      /** products that no way leads to */
      lost: z.number().int(),
      menu: z.array(z.object({ label: z.string(), below: z.number().int() })),
      places: z.array(floorPlaceSchema),
      /** what is lit, where it is one product */
      one: z
        .object({
          id: z.string(),
          title: z.string(),
          thumbnail: z.string().nullable(),
          clicks: z.number().int().nullable(),
          places: z.array(placeOfProductSchema),
        })
        .nullable(),
      /** names of what stands on pages more than once */
      titles: z.record(z.string(), z.string()),
    }),
  }),
  createPage: route({
    method: 'POST',
    path: '/api/pages',
    summary: 'Add a page',
    body: z.object({ title: pageTitle, pattern: z.enum(patternKeys).default('blank') }),
    answer: pageSchema,
  }),
  updatePage: route({
    method: 'PATCH',
    path: '/api/pages/:id',
    summary: 'Change a page; `sections` is the whole list in order, a section with id null is new',
    body: z.strictObject({ ...changeFields, was: wasOf(changeFields) }).partial(),
    answer: pageSchema,
  }),
  drawPage: route({
    method: 'POST',
    path: '/api/pages/:id/drawn',
    summary: 'A page as it would be drawn with these sections, and what each would show; nothing is saved',
    body: z.object({
      title: z.string().max(200).optional(),
      showsTitle: z.boolean().optional(),
      sections: wantedSections,
      /** goods that take turns as they will be so many days later */
      daysOn: z.number().int().min(0).max(400).optional(),
    }),
    answer: z.object({ page: z.custom<PageView>(), notes: z.array(sectionNoteSchema) }),
  }),
  addPicture: route({
    method: 'POST',
    path: '/api/pages/pictures',
    summary: 'Upload a picture for a section; it belongs to no page before a section names it',
    files: true,
    answer: z.object({ media: z.string(), width: z.number().int(), height: z.number().int() }),
  }),
  addFilm: route({
    method: 'POST',
    path: '/api/pages/films',
    summary: 'Upload a film (MP4, WebM) for a section, or its captions (WebVTT)',
    files: true,
    answer: z.object({ name: z.string() }),
  }),
  copyPage: route({
    method: 'POST',
    path: '/api/pages/:id/copy',
    summary: 'Add a page with the same sections',
    body: z.object({}).optional(),
    answer: pageSchema,
  }),
  deletePage: route({
    method: 'DELETE',
    path: '/api/pages/:id',
    summary: 'Delete a page other than the home page',
    answer: z.object({ ok: z.literal(true) }),
  }),
  menu: route({
    method: 'GET',
    path: '/api/menu',
    summary: 'The menus of the shop: in its head, at its foot, and the line above',
    answer: menuSchema,
  }),
  setMenu: route({
    method: 'PUT',
    path: '/api/menu',
    summary: 'Set a whole menu; an item with id null is new',
    body: z.strictObject({ ...menuFields, was: wasOf(menuFields) }).partial(),
    answer: menuSchema,
  }),
  subscribers: route({
    method: 'GET',
    path: '/api/subscribers',
    summary: 'Those who asked on a page to hear from the shop, the last one first',
    answer: z.object({ items: z.array(z.object({ email: z.string(), at: z.string(), page: z.string() })) }),
  }),
  opening: route({
    method: 'GET',
    path: '/api/opening',
    summary: 'Whether shoppers come in, what they read while they do not, and what is still missing to open',
    answer: openingSchema,
  }),
  setOpening: route({
    method: 'PUT',
    path: '/api/opening',
    summary: 'Open or close the shop, at once; a password lets visitors in all the same, null takes it away',
    owner: true,
    body: z
      .strictObject({
        isClosed: z.boolean(),
        message: z.string().trim().max(1_000, 'At most 1,000 characters.'),
        password: z.string().min(6, 'At least 6 characters.').max(200, 'At most 200 characters.').nullable(),
      })
      .partial(),
    answer: openingSchema,
  }),
  settings: route({ method: 'GET', path: '/api/settings', summary: 'Settings of the shop', answer: settingsSchema }),
  filters: route({
    method: 'GET',
    path: '/api/filters',
    summary: 'Filters that the goods of a place could have, the one that divides them best first',
    query: z.object({ kind: groupTargetSchema.shape.kind.optional(), id: idSchema.optional() }),
    answer: z.object({
      total: z.number().int(),
      filters: z.array(
        z.object({
          key: z.string(),
          label: z.string(),
          type: z.enum(['choice', 'range']),
          values: z.number().int(),
          filled: z.number(),
          gain: z.number(),
          place: z.number().int(),
        }),
      ),
    }),
  }),
  legal: route({
    method: 'GET',
    path: '/api/legal',
    summary: 'Legal pages: which there are, and what the settings do not say yet',
    answer: legalSchema,
  }),
  addLegal: route({
    method: 'POST',
    path: '/api/legal',
    summary: 'Make legal pages that are not there yet and put them at the foot of the shop, as one change',
    body: z.object({ pages: z.array(z.enum(legalKeys)).min(1, 'Choose a page.') }),
    answer: legalSchema,
  }),
  domain: route({
    method: 'GET',
    path: '/api/domain',
    summary: 'Whether a domain can be had, and what to set at whoever keeps it. A stand-in: nothing is looked up',
    query: z.object({ name: domainSchema.refine((name) => name !== '', 'Type a name such as kites.example.') }),
    answer: z.object({
      isFree: z.boolean(),
      /** other names that could be had */
      instead: z.array(z.string()),
      records: z.array(z.object({ type: z.string(), host: z.string(), value: z.string(), isSet: z.boolean() })),
    }),
  }),
  tellingGoods: route({
    method: 'GET',
    path: '/api/telling-goods',
    summary: 'Products that put the layout of a page to the test: the longest title, most versions, no picture …',
    answer: z.object({
      goods: z.array(z.object({ why: z.string(), id: z.string(), title: z.string(), slug: z.string() })),
    }),
  }),
  setSettings: route({
    method: 'PATCH',
    path: '/api/settings',
    summary: 'Change settings of the shop',
    body: someSettingsSchema.extend({ was: wasOf(settingsSchema.shape) }),
    answer: settingsSchema,
  }),
};
