import { routes } from '../../../../contract';
import type { ProductAnswer } from '../../../../contract/product';
import { variantName } from '../../../../core/products/variants';
import { call } from '../../../data/api';
import { useConfirmedWrite } from '../../../shared/ui/confirm';
import { useKeepProduct } from '../../../data/goods';

type SetLeftOut = (excludedCombinations: string[][]) => void;

/** Says which combinations are not sold; asks first when a variant with work in it would go. */
export function useLeaveOut({ product, revision }: ProductAnswer): [SetLeftOut, React.ReactNode] {
  const keep = useKeepProduct();
  const [write, dialog] = useConfirmedWrite();
  const set = (excludedCombinations: string[][]) =>
    write(async (confirmed) => {
      const body = { seen: revision, options: product.options, excludedCombinations, confirmed };
      keep(await call(routes.goods.setOptions, { params: { id: product.id }, body }));
    }, 'Leave it out');
  return [set, dialog];
}

/** The combinations that are not sold, each with a way back. */
export function LeftOut({ answer: { product }, set }: { answer: ProductAnswer; set: SetLeftOut }) {
  if (product.excludedCombinations.length === 0) return null;
  return (
    <p className="mt-2 text-ink-2">
      Left out:{' '}
      {product.excludedCombinations.map((values) => (
        <button
          key={values.join(' ')}
          type="button"
          title="Sell it again"
          onClick={() => set(product.excludedCombinations.filter((each) => each !== values))}
          className="mr-1.5 rounded-md border border-dashed border-ink-3 px-1.5 line-through hover:no-underline"
        >
          {variantName(product.options, { values })}
        </button>
      ))}
    </p>
  );
}
