/**
 * Which folder may import which: the plan of the house, and what lint holds. Imports point down only, so no folder is part
 * of a circle. docs/architecture.md draws it.
 */

/** From the bottom up: each idea may import those that stand before it. */
const core = [
  'core/shared',
  'core/model',
  'core/languages',
  'core/look',
  'core/legal',
  'core/groups',
  'core/products',
  'core/pricing',
  'core/forecast',
  'core/suppliers',
  'core/search',
  'core/rules',
  'core/shop',
  'core/storefront',
  'core/orders',
  'core/feeds',
  'core/exposure',
  'core/publishing',
  'core/bulk',
  'core/exchange',
  'core/history',
  'core/loose-ends',
  'core/writing',
];

/** What every subject of the server stands on, from the bottom up. */
const serverFloors = [
  'server/shared',
  'server/database',
  'server/store',
  'server/folder',
  'server/jobs',
  'server/http',
  'server/state',
  'server/media',
];

/** From the bottom up: a subject may ask those before it, but only by what their queries.ts and checks.ts offer. */
const serverSubjects = [
  'server/products',
  'server/groups',
  'server/pages',
  'server/prices',
  'server/orders',
  'server/people',
  'server/search',
  'server/bulk',
  'server/exchange',
  'server/elsewhere',
  'server/languages',
  'server/suppliers',
  'server/backups',
  'server/history',
  'server/publishing',
  'server/loose-ends',
  'server/today',
  'server/storefront',
  'server/set-up',
];

const before = (list, room) => list.slice(0, list.indexOf(room));

/** Folder → folders that it may import. */
export const rooms = {
  ...Object.fromEntries(core.map((room) => [room, before(core, room)])),
  contract: core,
  ...Object.fromEntries(serverFloors.map((room) => [room, [...before(serverFloors, room), 'contract', ...core]])),
  ...Object.fromEntries(serverSubjects.map((room) => [room, [...serverFloors, 'contract', ...core]])),
  shop: ['contract', ...core],
};
rooms['server/storefront'].push('shop');
rooms['server/app'] = [...serverFloors, ...serverSubjects, 'shop', 'contract', ...core];

/** No feature of the desk knows another: what two of them use is shared, and the app puts them together. */
const deskFeatures = [
  'goods',
  'groups',
  'shopfront',
  'bulk',
  'exchange',
  'words',
  'sheet',
  'history',
  'review',
  'loose-ends',
  'today',
  'orders',
  'suppliers',
  'maker',
  'help',
  'prices',
  'set-up',
].map((name) => `desk/features/${name}`);
rooms['desk/data'] = ['contract', ...core];
rooms['desk/shared'] = ['desk/data', ...rooms['desk/data']];
for (const feature of deskFeatures) rooms[feature] = ['desk/shared', ...rooms['desk/shared']];
rooms['desk/app'] = [...deskFeatures, 'desk/shared', ...rooms['desk/shared']];

/** Folder → subjects of whose public files it may import. */
export const subjectsAsked = Object.fromEntries(serverSubjects.map((room) => [room, before(serverSubjects, room)]));

/** What only tests, measurements and the demo shop use. */
rooms['core/testing'] = core;
rooms['server/testing'] = [...rooms['server/app'], 'server/app', 'core/testing'];
const below = Object.keys(rooms).filter((room) => !room.startsWith('desk'));
rooms['desk/testing'] = ['desk/app', ...rooms['desk/app']];
rooms.demo = below;
rooms.bench = [...below, 'demo', 'e2e'];
rooms.e2e = [...below, 'demo'];

/** A test may import all that stands below the desk: it tells how parts work together. */
export const forTests = [...below, 'desk/testing'];
