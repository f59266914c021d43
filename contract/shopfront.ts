import { z } from 'zod';
import { idSchema, slugSchema } from '../core/shared/identity';
import { pageSchema } from '../core/model/page';
import { sectionBodySchema } from '../core/model/sections/sections';
import { settingsSchema } from '../core/model/settings';
import { menuSchema } from '../core/model/menu';
import { targetSchema } from '../core/model/target';
import { route } from './route';
import { wasOf } from './was';

const pageTitle = z.string().trim().min(1, 'A page needs a title.').max(120, 'At most 120 characters.');
const newOrOld = idSchema.nullable();

/** What a section shows now: faces of its goods, and anything odd about it. */
const sectionNoteSchema = z.object({
  id: z.string(),
  thumbnails: z.array(z.string().nullable()),
  shown: z.number().int(),
  available: z.number().int(),
  warnings: z.array(z.string()),
});

const pageFields = {
  title: pageTitle,
  slug: slugSchema,
  sections: z
    .array(z.intersection(sectionBodySchema, z.object({ id: newOrOld })))
    .max(60, 'A page can have at most 60 sections.'),
};
const menuItem = z.object({
  id: newOrOld,
  label: z.string().trim().max(60, 'At most 60 characters.'),
  target: targetSchema,
});
const menuItems = z
  .array(menuItem.extend({ items: z.array(menuItem).max(40) }))
  .max(20, 'A menu can have at most 20 items.');

export const shopfrontRoutes = {
  pages: route({
    method: 'GET',
    path: '/api/pages',
    summary: 'All pages with their sections, and what each section shows now',
    answer: z.object({ pages: z.array(pageSchema), notes: z.array(sectionNoteSchema) }),
  }),
  createPage: route({
    method: 'POST',
    path: '/api/pages',
    summary: 'Add a page',
    body: z.object({ title: pageTitle }),
    answer: pageSchema,
  }),
  updatePage: route({
    method: 'PATCH',
    path: '/api/pages/:id',
    summary: 'Change a page; `sections` is the whole list in order, a section with id null is new',
    body: z.strictObject({ ...pageFields, was: wasOf(pageFields) }).partial(),
    answer: pageSchema,
  }),
  deletePage: route({
    method: 'DELETE',
    path: '/api/pages/:id',
    summary: 'Delete a page other than the home page',
    answer: z.object({ ok: z.literal(true) }),
  }),
  menu: route({ method: 'GET', path: '/api/menu', summary: 'The header menu', answer: menuSchema }),
  setMenu: route({
    method: 'PUT',
    path: '/api/menu',
    summary: 'Set the whole header menu; an item with id null is new',
    body: z.object({ items: menuItems, was: wasOf({ items: menuItems }) }),
    answer: menuSchema,
  }),
  settings: route({ method: 'GET', path: '/api/settings', summary: 'Settings of the shop', answer: settingsSchema }),
  setSettings: route({
    method: 'PATCH',
    path: '/api/settings',
    summary: 'Change settings of the shop',
    body: settingsSchema.partial().extend({ was: wasOf(settingsSchema.shape) }),
    answer: settingsSchema,
  }),
};
