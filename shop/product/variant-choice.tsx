import type { ProductView, VariantView } from '../../core/storefront/views';
import { BundleChooser } from './bundle-chooser';
import { LeadOn } from './lead-on';
import { Picker } from './picker';
import { Stock } from './stock';
import { VariantPrice } from './variant-price';

interface Props {
  product: ProductView;
  current: VariantView;
  choose: (variant: VariantView) => void;
  /** what was sent as a plain form just now */
  done?: string | null;
}

/** What it costs, in which versions it comes, whether it can be had, and what to do where it cannot. */
export function VariantChoice({ product, current, choose, done = null }: Props) {
  return (
    <>
      <VariantPrice product={product} variant={current} />
      {product.bundle ? (
        <BundleChooser bundle={product.bundle} fixed={current.price} currency={product.currency} />
      ) : (
        <Picker product={product} current={current} choose={choose} />
      )}
      <Stock variant={current} product={product} />
      <LeadOn product={product} variant={current} done={done} />
    </>
  );
}
