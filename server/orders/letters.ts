import { z } from 'zod';
import type { backNoteSchema, questionSchema } from '../../contract/letters';
import type { ProductDocument } from '../../core/model/document';
import { variantName } from '../../core/products/variants';
import { productOnShop } from '../../core/shop/open-groups';
import type { Shop } from '../../core/shop/shop';
import { shopStock } from '../../core/shop/shop-price';
import { newId } from '../shared/ids';
import { invalid, notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import {
  noteAnswered,
  putBackNote,
  putLetter,
  putQuestion,
  readAwaited,
  readBackNotes,
  readOutbox,
  readQuestion,
  readQuestions,
  takeBackNotes,
} from '../store/letters';
import { languageBase } from '../../core/storefront/languages';

const momentOf = (catalog: Catalog) => new Date(catalog.now * 1000).toISOString();

/** “Tern sport kite, Ember · 50 m” */
function aboutWords(product: ProductDocument, variantId: string | undefined): string {
  const variant = product.variants.find(({ id }) => id === variantId);
  return [product.title, variant ? variantName(product.options, variant) : ''].filter(Boolean).join(', ');
}

/** A product that shoppers meet now, with the variant that they named. Throws where there is none. */
function metProduct(shop: Shop, slug: string, variantId: string | undefined): ProductDocument {
  const product = productOnShop(shop, shop.bySlug('product', slug));
  if (!product) throw notFound(refusals.noSuchProduct);
  if (variantId !== undefined && !product.variants.some(({ id }) => id === variantId))
    throw invalid([{ path: ['variant'], message: refusals.noSuchVariant }]);
  return product;
}

export function ask(
  catalog: Catalog,
  shop: Shop,
  { slug, variant, email, text }: z.output<typeof questionSchema>,
): void {
  const product = metProduct(shop, slug, variant);
  putQuestion(catalog.db, {
    id: newId('question'),
    at: momentOf(catalog),
    productId: product.id,
    variantId: variant ?? null,
    about: aboutWords(product, variant),
    email,
    text,
    locale: shop.settings.locale,
  });
}

export function waitFor(catalog: Catalog, shop: Shop, { slug, variant, email }: z.output<typeof backNoteSchema>): void {
  const product = metProduct(shop, slug, variant);
  putBackNote(catalog.db, {
    variantId: variant,
    productId: product.id,
    email: email.toLowerCase(),
    at: momentOf(catalog),
    locale: shop.settings.locale,
  });
}

/** What shoppers asked, who waits for what, and what was written to shoppers. */
export function lettersOf(catalog: Catalog) {
  const { products } = catalog.working.shop;
  return {
    questions: readQuestions(catalog.db).map(({ variantId: _variant, locale: _locale, ...question }) => ({
      ...question,
      isKnown: products.has(question.productId),
    })),
    waiting: readBackNotes(catalog.db).flatMap(({ locale: _locale, ...note }) => {
      const product = products.get(note.productId);
      return product ? [{ ...note, about: aboutWords(product, note.variantId) }] : [];
    }),
    outbox: readOutbox(catalog.db),
  };
}

/** Who mails of the shop come from: by name, and with the address that answers go to. */
export function senderOf({ settings: { name, contact } }: Shop): { name: string; words: string } {
  const [sender, mail] = [contact.senderName || name, contact.senderMail || contact.mail];
  return { name: sender, words: mail ? `${sender} <${mail}>` : sender };
}

function openQuestion({ db }: Catalog, id: string) {
  const question = readQuestion(db, id);
  if (!question) throw notFound(refusals.noSuchQuestion);
  return question;
}

export function answerQuestion(catalog: Catalog, id: string, text: string): void {
  const { db, live } = catalog;
  const question = openQuestion(catalog, id);
  const at = momentOf(catalog);
  const { say } = live.shop.inLanguage(question.locale);
  db.transaction(() => {
    putLetter(db, {
      at,
      sender: senderOf(live.shop).words,
      recipient: question.email,
      subject: say('letter.questionSubject', { about: question.about }),
      text: [text, say('letter.youAsked', { text: question.text }), senderOf(live.shop).name].join('\n\n'),
    });
    noteAnswered(db, id, at);
  })();
}

export function putQuestionAway(catalog: Catalog, id: string): void {
  openQuestion(catalog, id);
  noteAnswered(catalog.db, id, momentOf(catalog));
}

/** Writes to those who wait for variants that shoppers can have again, each once. Answers how many letters there were. */
export function writeToWaiting(catalog: Catalog, origin: string): number {
  const { db, live } = catalog;
  let letters = 0;
  for (const { productId, variantId } of readAwaited(db)) {
    const product = productOnShop(live.shop, productId);
    if (!product?.variants.some(({ id }) => id === variantId)) continue;
    if (shopStock(live.shop, product, variantId) === 0) continue;
    db.transaction(() => {
      for (const { email, locale } of takeBackNotes(db, variantId)) {
        const shop = live.shop.inLanguage(locale);
        const told = shop.products.get(productId)!;
        const about = aboutWords(told, variantId);
        letters++;
        putLetter(db, {
          at: momentOf(catalog),
          sender: senderOf(live.shop).words,
          recipient: email,
          subject: shop.say('letter.backSubject', { about }),
          text: [
            shop.say('letter.back', { about }),
            `${origin}${languageBase(shop)}/p/${told.slug}?v=${variantId}`,
            senderOf(live.shop).name,
          ].join('\n\n'),
        });
      }
    })();
  }
  return letters;
}
