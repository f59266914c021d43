import { z } from 'zod';
import { optionListSchema } from '../core/model/option-list';
import { attributeSchema, specSheetSchema } from '../core/model/spec-sheet';
import { route } from './route';
import { wasOf } from './was';

const done = z.object({ ok: z.literal(true) });

export const optionListRoutes = {
  list: route({
    method: 'GET',
    path: '/api/option-lists',
    scope: 'goods',
    summary: 'Option lists with the number of products that use each',
    answer: z.object({ lists: z.array(optionListSchema.extend({ products: z.number().int() })) }),
  }),
  create: route({
    method: 'POST',
    path: '/api/option-lists',
    summary: 'Keep the values of an option as a list',
    body: optionListSchema.omit({ id: true }),
    answer: z.object({ id: z.string() }),
  }),
  update: route({
    method: 'PUT',
    path: '/api/option-lists/:id',
    summary: 'Change a list; renamed values and other colours reach every product that uses it, in one change',
    body: optionListSchema.omit({ id: true }).extend({
      /** names that changed, as they were and as they are now */
      renamed: z.array(z.object({ from: z.string(), to: z.string() })).default([]),
      was: wasOf(optionListSchema.shape),
    }),
    answer: z.object({ changed: z.number().int() }),
  }),
  remove: route({
    method: 'DELETE',
    path: '/api/option-lists/:id',
    summary: 'Delete an option list; products keep their values (can be undone)',
    answer: done,
  }),
};

const sheetBody = z.object({
  name: specSheetSchema.shape.name,
  attributes: z.array(attributeSchema).max(80, 'A spec sheet can have at most 80 attributes.'),
});

export const specSheetRoutes = {
  list: route({
    method: 'GET',
    path: '/api/spec-sheets',
    scope: 'goods',
    summary: 'Spec sheets with the number of products that use each',
    answer: z.object({ sheets: z.array(specSheetSchema.extend({ products: z.number().int() })) }),
  }),
  create: route({
    method: 'POST',
    path: '/api/spec-sheets',
    summary: 'Add a spec sheet',
    body: z.object({ name: specSheetSchema.shape.name }),
    answer: z.object({ id: z.string() }),
  }),
  update: route({
    method: 'PUT',
    path: '/api/spec-sheets/:id',
    summary: 'Change the name and the attributes of a spec sheet',
    body: sheetBody.extend({ was: wasOf(sheetBody.shape) }),
    answer: done,
  }),
  remove: route({
    method: 'DELETE',
    path: '/api/spec-sheets/:id',
    summary: 'Delete a spec sheet; values of products stay with them until they get another sheet (can be undone)',
    answer: done,
  }),
};
