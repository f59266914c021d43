import type { ProductView, VariantView } from '../../core/storefront/views';
import { useBase } from '../base';
import { isAvailable, variantWith } from './pick';
import { say } from '../tongue';

/** The options of a product with their values, from which a variant is chosen. Without script each value is a way to its page. */
export function Picker({
  product,
  current,
  choose,
}: {
  product: ProductView;
  current: VariantView;
  choose: (variant: VariantView) => void;
}) {
  const base = useBase();
  if (product.options.length === 0) return null;
  return (
    <form action={base + product.url} onSubmit={(event) => event.preventDefault()}>
      {product.options.map((option) => {
        const chosen = option.values.find(({ key }) => key === current.options[option.key]);
        return (
          <fieldset key={option.key} className="mt-6">
            <legend className="mb-2 text-sm text-ink-soft">
              {option.label}: <span className="font-semibold text-ink">{chosen?.label}</span>
            </legend>
            <div className="flex flex-wrap gap-2">
              {option.values.map((value) => {
                const canBeHad = isAvailable(product, current, option.key, value.key);
                const variant = variantWith(product, current, option.key, value.key);
                return (
                  <button
                    key={value.key}
                    type="submit"
                    name="v"
                    value={variant.id}
                    aria-pressed={value === chosen}
                    title={
                      canBeHad || product.orderDelay !== null
                        ? value.label
                        : say('product.soldOutValue', { label: value.label })
                    }
                    onClick={() => choose(variant)}
                    className={`flex min-h-10 items-center gap-2 rounded-button border px-4 py-2 text-sm text-ink hover:border-ink aria-pressed:border-ink aria-pressed:ring-1 aria-pressed:ring-ink ${canBeHad ? 'border-line' : 'border-dashed border-line text-ink-soft line-through'}`}
                  >
                    {value.picture ? (
                      <img
                        src={value.picture}
                        alt=""
                        className="size-5 rounded-full object-cover ring-1 ring-black/10"
                      />
                    ) : (
                      value.colour && (
                        <span
                          className="size-4 rounded-full ring-1 ring-black/10"
                          style={{ background: value.colour }}
                        />
                      )
                    )}
                    {value.label}
                  </button>
                );
              })}
            </div>
          </fieldset>
        );
      })}
    </form>
  );
}
