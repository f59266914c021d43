import type { Product } from '../../core/model/product';
import type { Relation } from '../../core/model/product-values';
import { eachOf } from '../../core/model/sections/section-type';
import { typeOfSection, type Section } from '../../core/model/sections/sections';
import type { Link, Target } from '../../core/model/target';
import { followedSettings } from '../../core/model/settings-links';
import { canonicalJson } from '../../core/shared/canonical-json';
import { eachMenu, withLinks } from '../../core/model/menu';
import type { GroupRef } from '../../core/shop/open-groups';
import { replaceValue } from '../../core/rules/replace-value';
import type { Rule } from '../../core/model/rule';
import { putCollection } from '../store/groups';
import { putEmbed } from '../store/embeds';
import { putFeed } from '../store/feeds';
import { putOffer } from '../store/offers';
import { putPage, writeMenu, writeSettings } from '../store/pages';
import { updateProduct } from '../store/put-products';
import { putViewRule, readViews } from '../store/views';
import type { Catalog } from '../state/catalog';

/**
 * Makes everything that names a group name another one instead: rules of collections, offers, views, relations and bundles; the
 * menu, banners, strips and tiles; goods on other sites and feeds; the notice, layouts and badges. Part of a change that merges the two.
 */
export function renameTarget(catalog: Catalog, { kind, id: from }: GroupRef, into: string): void {
  const { db, working } = catalog;
  const { shop } = working;
  const inRule = (rule: Rule) => replaceValue(rule, kind, from, into);
  for (const collection of shop.collections.values()) {
    const rule = inRule(collection.rule);
    if (rule !== collection.rule) putCollection(db, { ...collection, rule });
  }
  for (const offer of shop.offers.values()) {
    const { goods } = offer;
    if (goods.how === 'rule' && inRule(goods.rule) !== goods.rule)
      putOffer(db, { ...offer, goods: { ...goods, rule: inRule(goods.rule) } });
  }
  for (const feed of shop.feeds.values()) {
    const { goods } = feed;
    if (goods.how === 'rule' && inRule(goods.rule) !== goods.rule)
      putFeed(db, { ...feed, goods: { ...goods, rule: inRule(goods.rule) } });
  }
  for (const { id, rule } of readViews(db)) if (inRule(rule) !== rule) putViewRule(db, id, inRule(rule));
  for (const product of working.products.values()) {
    const fields = rulesOf(product, inRule);
    if (fields) updateProduct(db, product.id, fields);
  }
  const target = (to: Target): Target => (to.kind === kind && to.id === from ? { ...to, id: into } : to);
  const link = (to: Link): Link => (to.kind === 'address' ? to : target(to));
  const menu = eachMenu((name) => withLinks(shop.menu[name], link));
  writeMenu(db, menu);
  const settings = followedSettings(shop.settings, target, inRule);
  if (canonicalJson(settings) !== canonicalJson(shop.settings)) writeSettings(db, settings);
  const followed = <S extends Section>(section: S): S => {
    const { follow, followRules } = typeOfSection(section);
    const there = follow(section, target);
    return followRules?.(there, inRule) ?? there;
  };
  for (const embed of shop.embeds.values()) {
    const strip = followed(embed.strip);
    if (strip !== embed.strip) putEmbed(db, { ...embed, strip });
  }
  for (const page of shop.pages.values()) {
    const sections = eachOf(page.sections, followed);
    const standsOn = eachOf(page.standsOn, (to) => target(to) as typeof to);
    if (sections !== page.sections || standsOn !== page.standsOn) putPage(db, { ...page, sections, standsOn }, 0);
  }
}

/** The relations and the bundle of a product with other rules; undefined when none of them changes. */
function rulesOf({ relations, bundle }: Product, inRule: (rule: Rule) => Rule) {
  const inRelation = (relation: Relation): Relation =>
    relation.how === 'rule' && inRule(relation.rule) !== relation.rule
      ? { ...relation, rule: inRule(relation.rule) }
      : relation;
  const fields: Parameters<typeof updateProduct>[2] = {};
  for (const name of ['goesWith', 'stepUp', 'similar'] as const)
    if (inRelation(relations[name]) !== relations[name]) fields[name] = inRelation(relations[name]);
  const slots = bundle?.slots.map((slot) =>
    slot.from.how === 'rule' && inRule(slot.from.rule) !== slot.from.rule
      ? { ...slot, from: { ...slot.from, rule: inRule(slot.from.rule) } }
      : slot,
  );
  if (bundle && slots?.some((slot, i) => slot !== bundle.slots[i])) fields.bundle = { ...bundle, slots };
  return Object.keys(fields).length > 0 ? fields : undefined;
}
