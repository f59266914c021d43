import type { ProductView, VariantView } from '../../core/storefront/views';
import { useBase } from '../base';
import { Folding } from './folding';
import { say } from '../tongue';

interface Props {
  product: ProductView;
  variant: VariantView | undefined;
  folded: boolean;
}

/** What buyers of this variant download, and the samples and manuals that all may look at. */
export function FileLinks({ product, variant, folded }: Props) {
  const base = useBase();
  const downloads = product.downloads.filter(({ variantId }) => variantId === null || variantId === variant?.id);
  if (downloads.length === 0 && product.files.length === 0) return null;
  const title = { sample: say('product.sample'), manual: say('product.manual') };
  return (
    <Folding id="files" title={say('product.files')} folded={folded}>
      {downloads.length > 0 && (
        <div className="mb-4 text-sm">
          <h3 className="mb-1 font-semibold text-ink">{say('product.afterBuying')}</h3>
          <ul>
            {downloads.map(({ name, size }) => (
              <li key={name} className="flex justify-between gap-4 border-b border-line py-2 last:border-0">
                <span className="min-w-0 break-words">{name}</span>
                <span className="shrink-0 text-ink-soft">{size}</span>
              </li>
            ))}
          </ul>
          {product.downloadTerms && <p className="mt-1 text-sm text-ink-soft">{product.downloadTerms}</p>}
        </div>
      )}
      <ul className="text-sm">
        {product.files.map(({ role, name, size, url }) => (
          <li key={url} className="flex justify-between gap-4 py-1.5">
            <span className="min-w-0 break-words">
              <span className="mr-2 text-ink-soft">{title[role]}</span>
              <a href={base + url} download={name} className="font-medium text-sea underline">
                {name}
              </a>
            </span>
            <span className="shrink-0 text-ink-soft">{size}</span>
          </li>
        ))}
      </ul>
    </Folding>
  );
}
