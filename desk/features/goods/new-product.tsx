import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { kindParts } from '../../../core/products/kinds';
import { productKinds, type ProductKind } from '../../../core/model/product-values';
import { parseMoney } from '../../../core/shared/money';
import { shopLocale } from '../../data/shop-locale';
import { CallError, wordsOf } from '../../data/api';
import { Button } from '../../shared/ui/button';
import { Dialog } from '../../shared/ui/dialog';
import { TextField } from '../../shared/ui/field';
import { Select } from '../../shared/ui/select';
import { useCreateProduct } from '../../data/goods';

interface Form {
  title: string;
  price: string;
  kind: ProductKind;
}

/** Asks for no more than a title and a price; the rest is filled in on the product's own page. */
export function NewProduct({ isOpen, close }: { isOpen: boolean; close: () => void }) {
  const create = useCreateProduct();
  const navigate = useNavigate();
  const { register, handleSubmit, setError, setValue, watch, reset, formState } = useForm<Form>({
    defaultValues: { title: '', price: '', kind: 'physical' },
  });
  const kind = watch('kind');
  const submit = handleSubmit(async ({ title, price }) => {
    const minor = price.trim() === '' ? 0 : parseMoney(price, shopLocale());
    if (minor === undefined) return setError('price', { message: 'Type an amount, like 24.50.' });
    try {
      const { product } = await create.mutateAsync({ title, kind, price: minor });
      reset();
      close();
      await navigate(`/goods/${product.id}`);
    } catch (error) {
      const errors = error instanceof CallError ? error.errors : [];
      for (const { path, message } of errors) setError(path[0] as keyof Form, { message });
      if (errors.length === 0) setError('title', { message: wordsOf(error) });
    }
  });
  return (
    <Dialog title="New product" isOpen={isOpen} close={close}>
      <form onSubmit={(event) => void submit(event)} noValidate className="flex flex-col gap-4">
        <TextField {...register('title')} label="Title" autoFocus error={formState.errors.title?.message} />
        <div className="flex gap-4">
          <TextField
            {...register('price')}
            label="Price"
            inputMode="decimal"
            placeholder="0.00"
            error={formState.errors.price?.message}
          />
          <div>
            <span className="mb-1 block font-semibold">Kind</span>
            <Select
              label="Kind"
              value={kind}
              choices={productKinds.map((value) => ({ value, label: kindParts[value].offered }))}
              choose={(value) => setValue('kind', value as ProductKind)}
              className="w-52 !py-[6px]"
            />
          </div>
        </div>
        <div className="flex justify-end gap-2">
          <Button onClick={close}>Cancel</Button>
          <Button look="main" type="submit" disabled={formState.isSubmitting}>
            Add it
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
