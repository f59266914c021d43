import type { Product, Relation, RelationKind } from '../../../core/catalog/product';
import type { Autosave } from '../../use-autosave';

/** Fields of a product by the names under which they are saved. */
export type SavedFields = Omit<Product, 'relations'> & Record<RelationKind, Relation>;

export interface FieldBinding<K extends keyof SavedFields> {
  value: SavedFields[K];
  error: string | undefined;
  unsaved: boolean;
  change: (value: SavedFields[K]) => void;
}

/** What a field shows now, typed or saved, and how it is changed. */
export function fieldOf<K extends keyof SavedFields>(product: Product, save: Autosave, name: K): FieldBinding<K> {
  const saved = name in product.relations ? product.relations[name as RelationKind] : product[name as keyof Product];
  return {
    value: (name in save.drafts ? save.drafts[name] : saved) as SavedFields[K],
    error: save.errors[name],
    unsaved: name in save.drafts,
    change: (value) => save.change({ [name]: value }),
  };
}
