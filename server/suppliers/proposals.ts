import type { Product } from '../../core/model/product';
import type { Proposed, ProposalBody } from '../../core/model/proposal';
import { asProposed, isNothing, proposalRows, withoutRows, type ToldIn } from '../../core/suppliers/proposals';
import { freeSlug, slugFrom } from '../../core/shared/slug';
import { faceUrl } from '../../core/storefront/card';
import { mediaUrl } from '../../core/storefront/picture-sizes';
import type { BodyOf } from '../../contract/route';
import type { ProposalAnswer, supplierRoutes } from '../../contract/suppliers';
import { wordingKey } from '../../core/model/wording';
import { textsToKeep } from '../exchange/queries';
import { checkVariants } from '../products/checks';
import { newId } from '../shared/ids';
import { invalid, invalidField, notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import { cleanRichText } from '../shared/rich-text';
import type { Catalog } from '../state/catalog';
import { isSlugTaken } from '../store/groups';
import { putProposal, readAnswered, readProposal, readWaiting, type ProposalRecord } from '../store/proposals';
import { insertProduct, setOptions, setPictures, setVariants, updateProduct } from '../store/put-products';
import { readSuppliers } from '../store/suppliers';
import { keepText } from '../store/wordings';

/** Answered proposals that are told. */
const TOLD = 50;
/** Nobody changed it meanwhile: what is asked for is wanted over what stands there. */
const OVER_ALL = Number.MAX_SAFE_INTEGER;

/** A text of a product in another language, as it is kept. */
export const toldOf =
  ({ working: { shop } }: Catalog, productId: string | null): ToldIn =>
  (locale, path) =>
    (productId && shop.wordings.get(wordingKey({ locale, kind: 'product', id: productId }))?.texts[path]?.text) || '';

/** Proposals as those who answer them, and those who made them, read them. */
export function proposalAnswers(catalog: Catalog, records: readonly ProposalRecord[]): ProposalAnswer[] {
  const { working, db } = catalog;
  const names = new Map(readSuppliers(db).map(({ id, name }) => [id, name]));
  const { currency } = working.shop.settings;
  return records.map(({ body, productId, supplierId, userName, ...rest }) => {
    const product = productId === null ? undefined : working.products.get(productId);
    const isNew = body.made !== null;
    const { id, note, state, reply, madeAt, answeredAt } = rest;
    return {
      id,
      note,
      state,
      reply,
      madeAt,
      answeredAt,
      supplier: names.get(supplierId) ?? '',
      by: userName,
      productId: product ? productId : null,
      isNew,
      isGone: productId !== null && product === undefined,
      title: body.product.title ?? product?.title ?? '',
      thumbnail: product ? faceUrl(product) : body.pictures[0] ? mediaUrl(body.pictures[0].media, 160) : null,
      rows: proposalRows(body, isNew ? undefined : product, {
        told: toldOf(catalog, productId),
        currency,
        isOver: state !== 'waiting',
      }),
      pictures: body.pictures.map(({ media }) => mediaUrl(media, 160)),
    };
  });
}

export const waitingProposals = (catalog: Catalog) => proposalAnswers(catalog, readWaiting(catalog.db));
export const answeredProposals = (catalog: Catalog) => proposalAnswers(catalog, readAnswered(catalog.db, TOLD));

function waitingOrRefuse({ db }: Catalog, id: string): ProposalRecord {
  const proposal = readProposal(db, id);
  if (proposal?.state !== 'waiting') throw notFound(refusals.proposalAnswered);
  return proposal;
}

/** A proposal with what is left out and changed by who takes it. */
function edited(body: ProposalBody, { without, edits }: BodyOf<typeof supplierRoutes.take>): ProposalBody {
  const left = withoutRows(body, new Set(without));
  const inner = <T extends object>(mine: Record<string, T>, theirs: Record<string, T> = {}) =>
    Object.fromEntries(Object.entries(mine).map(([key, fields]) => [key, { ...fields, ...theirs[key] }]));
  return {
    ...left,
    product: { ...left.product, ...edits.product },
    variants: inner(left.variants, edits.variants),
    texts: inner(left.texts, edits.texts),
  };
}

/** What is wrong with variants as they are proposed, such as a price below that of the sale. */
function refuseVariants(catalog: Catalog, product: Product, variants: Proposed['variants']): void {
  const known = new Set(product.variants.map(({ id }) => id));
  const changes = Object.entries(variants).map(([id, fields]) => ({ id, fields }));
  for (const { id } of changes)
    if (!known.has(id)) throw invalidField(['edits', 'variants', id], refusals.variantGoneSince);
  const { errors } = checkVariants(catalog, product, OVER_ALL, changes);
  if (errors.length === 0) return;
  throw invalid(
    errors.map(({ path, ...error }) => {
      const [, at, , field] = path;
      return { ...error, path: ['edits', 'variants', changes[Number(at)]!.id, field!] };
    }),
  );
}

/** What is asked of a product once it was written. */
type Written = Pick<Product, 'id' | 'slug' | 'title' | 'summary' | 'description' | 'pictures'>;

/** Adds what is proposed as a new product: a draft, for the shop to decide about. */
function addProposed(catalog: Catalog, { body, supplierId }: ProposalRecord, wanted: ProposalBody): Written {
  const { db } = catalog;
  const id = newId('product');
  const { title = '', summary = '', description = '' } = wanted.product;
  if (title.trim() === '') throw invalidField(['edits', 'product', 'title'], refusals.productNeedsTitle);
  const supplier = readSuppliers(db).find((each) => each.id === supplierId)?.name ?? '';
  const slug = freeSlug(slugFrom(title), (each) => isSlugTaken(db, 'product', each));
  const words = { title, summary, description: cleanRichText(description), slug, supplier };
  insertProduct(
    db,
    id,
    { kind: 'physical', status: 'draft', featured: false, brandId: null, ...words },
    catalog.clock().toISOString(),
  );
  const { options, variants } = body.made!;
  setOptions(db, id, options);
  setVariants(db, id, asProposed({ variants }, wanted).variants);
  return { ...words, id, pictures: [] };
}

/** Writes what is proposed of a product that is there. */
function changeProposed({ db }: Catalog, product: Product, wanted: ProposalBody): Written {
  const { title, summary, description } = wanted.product;
  const words = {
    ...(title === undefined ? {} : { title }),
    ...(summary === undefined ? {} : { summary }),
    ...(description === undefined ? {} : { description: cleanRichText(description) }),
  };
  updateProduct(db, product.id, words);
  const after = asProposed({ ...product, ...words }, { ...wanted, product: words });
  setVariants(db, product.id, after.variants, new Set(Object.keys(wanted.variants)));
  return after;
}

function addWords(catalog: Catalog, after: Written, { texts }: Proposed): void {
  const told = Object.entries(texts).flatMap(([locale, paths]) =>
    Object.entries(paths).map(([path, text]) => ({
      locale,
      path,
      text: (path === 'description' ? cleanRichText(text) : text.trim()) || null,
      source: after[path as 'title'],
    })),
  );
  for (const text of textsToKeep(catalog, [{ after, texts: told }])) keepText(catalog.db, text);
}

/**
 * Takes a proposal into the working copy as one change, as it is or with changes. Answers the product. What is taken waits for
 * the next edition as all work does, and can be held back there.
 */
export function takeProposal(
  catalog: Catalog,
  user: string,
  id: string,
  wanted: BodyOf<typeof supplierRoutes.take>,
): string {
  const { db, working } = catalog;
  const proposal = waitingOrRefuse(catalog, id);
  const body = edited(proposal.body, wanted);
  if (isNothing(body)) throw invalidField(['without'], refusals.takeSomething);
  const { productId, supplierId } = proposal;
  const product = productId === null ? undefined : working.products.get(productId);
  if (productId !== null && !product) throw notFound(refusals.gone('product'));
  if (product) refuseVariants(catalog, product, body.variants);
  const { currency, cards } = working.shop.settings;
  const rows = proposalRows(body, product, { told: toldOf(catalog, productId), currency });
  const fields = [...rows.map(({ label }) => label.charAt(0).toLowerCase() + label.slice(1))];
  if (body.pictures.length > 0)
    fields.push(body.pictures.length === 1 ? 'a picture' : `${body.pictures.length} pictures`);
  const title = body.product.title ?? product?.title ?? '';
  const name = makerName(catalog, proposal);
  const at = catalog.clock().toISOString();
  let taken = '';
  catalog.journal.change({ did: 'proposalTaken', title, name, fields }, catalog.actor(user), () => {
    const after = product ? changeProposed(catalog, product, body) : addProposed(catalog, proposal, body);
    taken = after.id;
    const added = body.pictures.map((picture) => ({
      ...picture,
      id: newId('picture'),
      alt: '',
      focus: { x: 0.5, y: 0.5 },
      fit: cards.fit,
    }));
    if (added.length > 0) setPictures(db, after.id, [...after.pictures, ...added]);
    addWords(catalog, after, body);
    putProposal(db, {
      ...proposal,
      supplierId,
      productId: after.id,
      state: 'taken',
      reply: wanted.reply,
      answeredAt: at,
      answeredBy: user,
    });
  });
  return taken;
}

export function refuseProposal(catalog: Catalog, user: string, id: string, reply: string): void {
  const proposal = waitingOrRefuse(catalog, id);
  const title = proposal.body.product.title ?? catalog.working.products.get(proposal.productId ?? '')?.title ?? '';
  const done = { did: 'proposalRefused', title, name: makerName(catalog, proposal) } as const;
  catalog.journal.change(done, catalog.actor(user), () =>
    putProposal(catalog.db, {
      ...proposal,
      state: 'refused',
      reply,
      answeredAt: catalog.clock().toISOString(),
      answeredBy: user,
    }),
  );
}

/** Who proposed it: "Mara of Windwerk". */
function makerName({ db }: Catalog, { userName, supplierId }: ProposalRecord): string {
  const supplier = readSuppliers(db).find(({ id }) => id === supplierId);
  return supplier ? `${userName} of ${supplier.name}` : userName;
}
