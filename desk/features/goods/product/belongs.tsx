import { X } from 'lucide-react';
import { useEffect, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { isSameName } from '../../../../core/shared/same-name';
import { MAX_CATEGORY_DEPTH } from '../../../../core/groups/category-tree';
import { categoryChoices } from '../../../shared/pickers/category-choices';
import { useCategoryWrites, useGroups, useNamedWrites } from '../../../data/groups';
import { useSuppliers } from '../../../data/suppliers';
import { useNotMet } from '../../../data/shopfront';
import { useUnsaved } from '../../../shared/autosave/unsaved';
import type { Autosave } from '../../../shared/autosave/autosave';
import { Button } from '../../../shared/ui/button';
import { Choose } from '../../../shared/ui/choose';
import { TextField } from '../../../shared/ui/field';
import { Select } from '../../../shared/ui/select';
import { useEvent } from '../../../shared/ui/use-event';
import { useProductField } from './use-product-autosave';
import { Part } from './part';
import { WhyCollections } from './why-collections';

function Chip({ label, note, remove }: { label: string; note?: ReactNode; remove: () => void }) {
  return (
    <span className="flex items-center gap-1.5 rounded-lg border border-line bg-sheet py-1 pl-2.5 pr-1">
      {label}
      {note && <span className="text-xs text-ink-2">{note}</span>}
      <button
        type="button"
        onClick={remove}
        aria-label={`Remove ${label}`}
        className="rounded p-0.5 text-ink-2 hover:text-rose"
      >
        <X size={12} aria-hidden="true" />
      </button>
    </span>
  );
}

interface NewCategoryProps {
  name: string;
  categories: readonly { id: string; name: string; level: number }[];
  take: (id: string) => void;
  close: () => void;
}

/** Makes a category where it is needed, below the one that is chosen. */
function NewCategory({ name, categories, take, close }: NewCategoryProps) {
  const [parentId, setParentId] = useState('');
  const { create } = useCategoryWrites();
  const tellUnsaved = useUnsaved();
  useEffect(() => {
    tellUnsaved({ problems: [`The new category “${name}” is not made yet.`], isOnItsWay: false });
  }, [tellUnsaved, name]);
  const make = () =>
    create.mutate(
      { name, parentId: parentId || null },
      {
        onSuccess: ({ id }) => {
          take(id);
          close();
        },
      },
    );
  return (
    <div className="flex flex-wrap items-center gap-2 rounded-lg bg-marigold-soft px-3 py-2">
      <span>
        New category <strong>{name}</strong>
      </span>
      <Select
        label="Put it"
        value={parentId}
        choices={[
          { value: '', label: 'at the top of the tree' },
          ...categories
            .filter(({ level }) => level < MAX_CATEGORY_DEPTH)
            .map((each) => ({ value: each.id, label: `${'\u2002'.repeat(each.level - 1)}in ${each.name}` })),
        ]}
        choose={setParentId}
      />
      <Button look="main" disabled={create.isPending} onClick={make}>
        Make it
      </Button>
      <Button onClick={close}>Leave it</Button>
    </div>
  );
}

export function Belongs({ productId, save }: { productId: string; save: Autosave }) {
  const { data } = useGroups();
  const notMet = useNotMet();
  const { value: categoryIds, error: categoryError } = useProductField(save, 'categoryIds');
  const { value: tagIds, error: tagError } = useProductField(save, 'tagIds');
  const { value: brandId, error: brandError } = useProductField(save, 'brandId');
  const supplier = useProductField(save, 'supplier');
  const { data: suppliers } = useSuppliers();
  const known = suppliers?.suppliers.find(({ name }) => isSameName(name, supplier.value));
  const categories = categoryChoices(data?.categories ?? [], (id) => notMet('category', id));
  const names = new Map(
    [
      ...categories.map(({ value, label }) => ({ id: value, name: label })),
      ...(data?.tags ?? []),
      ...(data?.brands ?? []),
    ].map((each) => [each.id, each.name]),
  );
  const { create: createTag } = useNamedWrites('tag');
  const { create: createBrand } = useNamedWrites('brand');
  // One that is made arrives later, and others may have been added meanwhile.
  const addTag = useEvent((id: string) => save.change({ tagIds: [...tagIds, id] }));
  const addCategory = useEvent((id: string) => save.change({ categoryIds: [...categoryIds, id] }));
  const make = (create: typeof createTag, name: string, take: (id: string) => void) => {
    create.mutateAsync(name).then(
      ({ id }) => take(id),
      // The write itself tells that it was refused.
      () => undefined,
    );
  };
  const setBrand = (id: string | null) => save.change({ brandId: id });
  const [newCategory, setNewCategory] = useState<string | null>(null);
  const row = 'flex flex-wrap items-center gap-2';
  return (
    <Part id="belongs" title="Belongs to">
      <div className="grid grid-cols-[7rem_1fr] items-start gap-x-3 gap-y-3">
        <span className="pt-1 font-semibold">Categories</span>
        <div className={row}>
          {categoryIds.map((id, i) => (
            <Chip
              key={id}
              label={names.get(id) ?? '…'}
              note={
                categoryIds.length < 2 ? undefined : i === 0 ? (
                  'main'
                ) : (
                  <button
                    type="button"
                    className="text-petrol hover:underline"
                    onClick={() => save.change({ categoryIds: [id, ...categoryIds.filter((each) => each !== id)] })}
                  >
                    make it main
                  </button>
                )
              }
              remove={() => save.change({ categoryIds: categoryIds.filter((each) => each !== id) })}
            />
          ))}
          <Choose
            label="Add a category"
            choices={categories.filter(({ value }) => !categoryIds.includes(value))}
            choose={addCategory}
            make={setNewCategory}
            makeWords="New category"
          />
        </div>
        {newCategory !== null && (
          <>
            <span />
            <NewCategory
              name={newCategory}
              categories={data?.categories ?? []}
              close={() => setNewCategory(null)}
              take={addCategory}
            />
          </>
        )}
        <span className="pt-1 font-semibold">Tags</span>
        <div className={row}>
          {tagIds.map((id) => (
            <Chip
              key={id}
              label={names.get(id) ?? '…'}
              remove={() => save.change({ tagIds: tagIds.filter((each) => each !== id) })}
            />
          ))}
          <Choose
            label="Add a tag"
            choices={(data?.tags ?? [])
              .filter(({ id }) => !tagIds.includes(id))
              .map(({ id, name, count }) => ({ value: id, label: name, note: String(count) }))}
            choose={addTag}
            make={(name) => make(createTag, name, addTag)}
            makeWords="New tag"
          />
        </div>
        <span className="pt-1 font-semibold">Brand</span>
        <div className={row}>
          {brandId ? (
            <Chip label={names.get(brandId) ?? '…'} remove={() => setBrand(null)} />
          ) : (
            <Choose
              label="Choose a brand"
              choices={(data?.brands ?? []).map(({ id, name }) => ({ value: id, label: name }))}
              choose={setBrand}
              make={(name) => make(createBrand, name, setBrand)}
              makeWords="New brand"
            />
          )}
        </div>
        <span className="pt-1.5 font-semibold">Supplier</span>
        <TextField
          label="Supplier"
          hideLabel
          placeholder="shoppers do not see it"
          list="known-suppliers"
          value={supplier.value}
          error={supplier.error}
          unsaved={supplier.unsaved}
          onChange={(event) => supplier.change(event.target.value)}
          className="!w-60"
        />
        <datalist id="known-suppliers">
          {suppliers?.suppliers.map(({ id, name }) => (
            <option key={id} value={name} />
          ))}
        </datalist>
        {known && (
          <>
            <span />
            <Link to={`/suppliers/${known.id}?part=order`} className="-mt-2 w-fit text-petrol hover:underline">
              What to order from {known.name}
            </Link>
          </>
        )}
        <span className="font-semibold">Collections</span>
        <WhyCollections id={productId} />
      </div>
      {[categoryError, tagError, brandError]
        .filter((message) => message !== undefined)
        .map((message) => (
          <p key={message} role="alert" className="mt-2 text-rose-ink">
            {message}
          </p>
        ))}
    </Part>
  );
}
