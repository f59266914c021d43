import type { ProductView } from '../../core/storefront/views';

/** The specs of a product, under their headings. */
export function SpecTable({ specs }: Pick<ProductView, 'specs'>) {
  if (specs.length === 0) return null;
  return (
    <section className="mt-8 border-t border-line pt-6" aria-labelledby="specs">
      <h2 id="specs" className="mb-3 font-display text-lg font-bold text-ink">
        Specs
      </h2>
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
    </section>
  );
}
