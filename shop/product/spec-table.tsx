import type { ProductView } from '../../core/storefront/views';
import { Folding } from './folding';
import { say } from '../tongue';

/** The specs of a product, under their headings. */
export function SpecTable({ specs, folded }: Pick<ProductView, 'specs'> & { folded: boolean }) {
  if (specs.length === 0) return null;
  return (
    <Folding id="specs" title={say('product.specs')} folded={folded}>
      {specs.map(({ heading, rows }) => (
        <div key={heading} className="mb-4">
          {heading && <h3 className="mb-1 text-sm font-semibold text-ink">{heading}</h3>}
          <dl className="grid grid-cols-[minmax(7rem,2fr)_3fr] text-sm">
            {rows.map(({ label, value }) => (
              <div key={label} className="col-span-2 grid grid-cols-subgrid border-b border-line py-2 last:border-0">
                <dt className="text-ink-soft">{label}</dt>
                <dd className="break-words font-medium text-ink">{value}</dd>
              </div>
            ))}
          </dl>
        </div>
      ))}
    </Folding>
  );
}
