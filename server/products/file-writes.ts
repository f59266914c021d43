import { refusals } from '../shared/refusals';
import { MAX_FILES, type FileRole, type ProductFile } from '../../core/model/product-file';
import { kindParts } from '../../core/products/kinds';
import type { Product } from '../../core/model/product';
import type { FieldError } from '../../contract/problem';
import { updateProduct } from '../store/put-products';
import { newId } from '../shared/ids';
import { invalidField } from '../shared/problem';
import type { Catalog } from '../state/catalog';
import { productOrRefuse, type UserId } from '../state/product-or-refuse';

/** Refuses a file before it is taken: the product must have a place for it. */
export function refuseFile(product: Product, role: FileRole): void {
  if (role !== 'manual' && !kindParts[product.kind].downloads)
    throw invalidField(['files'], refusals.onlyDigitalHasDownloads);
  if (product.files.length >= MAX_FILES) throw invalidField(['files'], refusals.tooManyFiles(MAX_FILES));
}

/** Adds a file, whose content is in the store already, to the end of a product's files. */
export function addFile(
  catalog: Catalog,
  user: UserId,
  id: string,
  { role, name, bytes, content }: Pick<ProductFile, 'role' | 'name' | 'bytes' | 'content'>,
): void {
  const product = productOrRefuse(catalog, id);
  refuseFile(product, role);
  const twin = product.files.find((file) => file.content === content && file.role === role);
  if (twin) throw invalidField(['files'], refusals.sameFile(twin.name));
  const file: ProductFile = { id: newId('file'), role, name: name.slice(0, 160), bytes, content, variantId: null };
  catalog.journal.change({ did: 'fileAdded', title: product.title, name }, catalog.actor(user), () =>
    updateProduct(catalog.db, id, { files: [...product.files, file] }),
  );
}

/** Files can be renamed, ordered, tied to variants and left out; their content comes by upload only. */
export function fileProblems(product: Product, files: readonly ProductFile[]): FieldError[] {
  const path = ['fields', 'files'];
  const known = new Map(product.files.map((file) => [file.id, file]));
  const isForeign = files.some(({ id, content, bytes, role }) => {
    const own = known.get(id);
    return !own || own.content !== content || own.bytes !== bytes || own.role !== role;
  });
  if (isForeign) return [{ path, message: refusals.uploadFirst }];
  const isLoose = files.some(({ variantId }) => variantId && !product.variants.some(({ id }) => id === variantId));
  return isLoose ? [{ path, message: refusals.fileVariantGone }] : [];
}
