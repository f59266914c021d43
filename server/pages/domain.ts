import { createHash } from 'node:crypto';
import type { shopfrontRoutes } from '../../contract/shopfront';
import type { AnswerOf } from '../../contract/route';
import type { Catalog } from '../state/catalog';

/** Of so many names one is taken, in this stand-in. */
const TAKEN_OF = 4;
const SHOPS = 'shops.dispona.example';

/** The same name always gets the same answer. */
const isFree = (name: string) => createHash('sha256').update(name).digest()[0]! % TAKEN_OF !== 0;

/**
 * What a registrar and the domain name system would say of a name. A stand-in: nothing is looked up, a name is free or not by
 * its letters, and its records count as set once the shop has taken it.
 */
export function domainOf({ working }: Catalog, name: string): AnswerOf<typeof shopfrontRoutes.domain> {
  const isOurs = working.shop.settings.domain === name;
  const [first = '', ...rest] = name.split('.');
  const ending = rest.join('.');
  const others = [
    `the-${first}.${ending}`,
    `${first}-shop.${ending}`,
    `${first}-goods.${ending}`,
    `my-${first}.${ending}`,
  ];
  return {
    isFree: isOurs || isFree(name),
    instead: isOurs || isFree(name) ? [] : others.filter(isFree).slice(0, 3),
    records: [
      { type: 'CNAME', host: name, value: SHOPS, isSet: isOurs },
      { type: 'CNAME', host: `www.${name}`, value: SHOPS, isSet: isOurs },
      {
        type: 'TXT',
        host: `_shop.${name}`,
        value: `shop=${createHash('sha256').update(`shop ${name}`).digest('hex').slice(0, 16)}`,
        isSet: isOurs,
      },
    ],
  };
}
