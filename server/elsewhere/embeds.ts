import type { elsewhereRoutes } from '../../contract/elsewhere';
import type { AnswerOf, BodyOf } from '../../contract/route';
import { embedSchema, embedWords, usualEmbedLook, type Embed } from '../../core/model/embed';
import { sectionTypes } from '../../core/model/sections/sections';
import { embedGoods, embedView } from '../../core/storefront/embed-view';
import { parse } from '../http/answer';
import { notesOf } from '../pages/queries';
import { newId } from '../shared/ids';
import { notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { mergedFields } from '../state/merged-fields';
import { deleteEmbed, putEmbed } from '../store/embeds';

const FIRST = 8;

function embedOrRefuse({ working }: Catalog, id: string): Embed {
  const embed = working.shop.embeds.get(id);
  if (!embed) throw notFound(refusals.noSuchEmbed);
  return embed;
}

/** An embed with some of it changed, checked as a whole. Throws what does not fit, at its field. */
const changed = (embed: Embed, fields: object): Embed => {
  const next = parse<typeof embedSchema>(embedSchema, { ...embed, ...fields });
  return { ...next, strip: { ...next.strip, id: embed.strip.id } };
};

export function embedsAnswer({ working, live }: Catalog, origin: string): AnswerOf<typeof elsewhereRoutes.embeds> {
  const { shop } = working;
  return {
    origin,
    embeds: [...shop.embeds.values()].map((embed) => ({
      embed,
      goods: embedGoods(shop, embed).slots.length,
      isLive: live.shop.embeds.has(embed.id),
    })),
  };
}

/** Makes goods for another site: all of them at first, those that are named, or as another has them. */
export function makeEmbed(
  catalog: Catalog,
  user: string,
  { name, ids, like }: BodyOf<typeof elsewhereRoutes.addEmbed>,
): string {
  const id = newId('embed');
  const source = ids?.length ? { kind: 'picked' as const, ids } : { kind: 'featured' as const };
  const strip = { ...sectionTypes.strip.fresh(), id: newId('section'), source, count: ids?.length || FIRST };
  const base = like ? embedOrRefuse(catalog, like) : { strip, look: usualEmbedLook, basket: true };
  const embed = { ...base, id, name, strip: { ...base.strip, id: newId('section') } };
  catalog.journal.change({ did: 'embedAdded', name }, catalog.actor(user), () => putEmbed(catalog.db, embed));
  return id;
}

/** Changes some of it; refuses where somebody else changed the same meanwhile. */
export function changeEmbed(
  catalog: Catalog,
  user: string,
  id: string,
  { was, ...fields }: BodyOf<typeof elsewhereRoutes.changeEmbed>,
): Embed {
  const before = embedOrRefuse(catalog, id);
  // What is written tells no id of the strip: it keeps its own.
  const withId = <T extends object>(told: T): T =>
    'strip' in told ? { ...told, strip: { ...(told.strip as object), id: before.strip.id } } : told;
  const embed = changed(before, mergedFields(before, withId(fields), was && withId(was), embedWords));
  catalog.journal.change({ did: 'embedChanged', name: embed.name }, catalog.actor(user), () =>
    putEmbed(catalog.db, embed),
  );
  return embed;
}

export function removeEmbed(catalog: Catalog, user: string, id: string): void {
  const { name } = embedOrRefuse(catalog, id);
  catalog.journal.change({ did: 'embedDeleted', name }, catalog.actor(user), () => deleteEmbed(catalog.db, id));
}

/** What would be shown elsewhere with these fields. */
export function drawEmbed(
  catalog: Catalog,
  id: string,
  fields: BodyOf<typeof elsewhereRoutes.drawEmbed>,
): AnswerOf<typeof elsewhereRoutes.drawEmbed> {
  const embed = changed(embedOrRefuse(catalog, id), fields);
  const { shop } = catalog.working;
  const filled = [{ section: embed.strip, goods: embedGoods(shop, embed) }];
  return { view: embedView(shop, embed), note: notesOf(shop, filled, { now: catalog.now, showsUnseen: true })[0]! };
}
