import type { Offer } from '../model/offer';
import { floorWords, offerConditions, offerDoes, offerTimes } from '../pricing/offer-words';
import { sentenceOf } from '../rules/text/sentence';
import { momentWords } from '../shared/moment';
import type { Shop } from '../shop/shop';

/** Which goods are meant, in words. */
export function goodsWords(shop: Shop, goods: Offer['goods']): string {
  if (goods.how === 'all') return 'all goods';
  if (goods.how === 'rule') return sentenceOf(goods.rule, shop.fields, shop.settings.currency);
  return goods.ids.map((id) => shop.products.get(id)?.title ?? 'something deleted').join(', ');
}

/** What a reader of the review is told of an offer: each field that shoppers notice has a line. */
export function offerFields(shop: Shop, offer: Offer): Map<string, string> {
  const { settings } = shop;
  const moment = (at: string | null) => (at === null ? '' : momentWords(at, settings.timeZone));
  const { action } = offer;
  const gift = action.does === 'gift' ? (shop.products.get(action.productId)?.title ?? 'something deleted') : '';
  return new Map([
    ['Name', offer.name],
    ['Runs', offer.isOn ? 'yes' : 'no'],
    ['Gives', offerDoes(offer, settings)],
    ['Gift', gift && `${gift} (${(action as { variantId: string }).variantId})`],
    ['Goods', goodsWords(shop, offer.goods)],
    ['From', moment(offer.from)],
    ['Until', moment(offer.until)],
    ['Times', offerTimes(offer)],
    ['Conditions', offerConditions(offer, settings).join(', ')],
    ['Floor', floorWords(offer, settings.offers.floor)],
    ['Together with other offers', offer.stacks ? 'yes' : 'no'],
    ['Priority', String(offer.priority)],
  ]);
}
