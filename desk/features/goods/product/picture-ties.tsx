import { routes } from '../../../../contract';
import type { ProductAnswer } from '../../../../contract/product';
import { call } from '../../../data/api';
import { useKeepProduct } from '../../../data/goods';
import { tellRefused } from '../../../data/tell-refused';

/** Which option values a picture shows: their variants then show it first. */
export function PictureTies({ answer, pictureId }: { answer: ProductAnswer; pictureId: string }) {
  const { product, revision } = answer;
  const keep = useKeepProduct();
  const variantsWith = (valueId: string) => product.variants.filter(({ values }) => values.includes(valueId));
  const isTied = (valueId: string) => {
    const variants = variantsWith(valueId);
    return variants.length > 0 && variants.every((variant) => variant.pictureId === pictureId);
  };
  const tie = (valueId: string) => {
    const fields = { pictureId: isTied(valueId) ? null : pictureId };
    const changes = variantsWith(valueId).map(({ id }) => ({ id, fields }));
    call(routes.goods.setVariants, { params: { id: product.id }, body: { seen: revision, changes } })
      .then(keep)
      .catch(tellRefused);
  };
  if (product.options.length === 0) return null;
  return (
    <div className="mt-3">
      <span className="mb-1 block font-semibold">Shows</span>
      {product.options.map((option) => (
        <div key={option.id} className="mb-1.5 flex flex-wrap items-center gap-1.5">
          <span className="w-24 text-ink-2">{option.name}</span>
          {option.values.map(({ id, name }) => (
            <button
              key={id}
              type="button"
              aria-pressed={isTied(id)}
              onClick={() => tie(id)}
              className="rounded-lg border border-line bg-sheet px-2 py-0.5 hover:border-ink-3 aria-pressed:border-ink aria-pressed:bg-marigold-soft aria-pressed:font-semibold"
            >
              {name}
            </button>
          ))}
        </div>
      ))}
    </div>
  );
}
