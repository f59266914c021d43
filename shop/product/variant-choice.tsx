import type { ProductView, VariantView } from '../../core/storefront/views';
import { useState } from 'react';
import { AddToBasket } from '../basket/add-to-basket';
import { missingOf, startChoice, type BundleChoice } from './bundle-choice';
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
  const { bundle } = product;
  const [choice, setChoice] = useState<BundleChoice>(() => (bundle ? startChoice(bundle) : {}));
  return (
    <>
      <VariantPrice product={product} variant={current} />
      {product.bundle ? (
        <BundleChooser
          bundle={product.bundle}
          choice={choice}
          setChoice={setChoice}
          fixed={current.price}
          currency={product.currency}
        />
      ) : (
        <Picker product={product} current={current} choose={choose} />
      )}
      <Stock variant={current} product={product} />
      <AddToBasket
        key={current.id}
        product={product}
        variant={current}
        parts={bundle ? (missingOf(bundle, choice) === null ? chosenParts(choice) : null) : []}
      />
      <LeadOn product={product} variant={current} done={done} />
    </>
  );
}

const chosenParts = (choice: BundleChoice) =>
  Object.entries(choice).flatMap(([slotId, chosen]) =>
    Object.entries(chosen).map(([variantId, quantity]) => ({ slotId, variantId, quantity })),
  );
