import type { ProductView, VariantView } from '../../core/storefront/views';
import { LetterForm } from './letter-form';

interface Props {
  product: ProductView;
  variant: VariantView;
  /** what was sent as a plain form just now */
  done: string | null;
}

const asking = { api: '/shop-api/questions', action: '/ask', thanks: 'Thank you. We will write to you.' };

/** Where a product cannot simply be had, what a shopper can do instead: ask for its price, or be told when it is back. */
export function LeadOn({ product, variant, done }: Props) {
  const about = { slug: product.slug, variant: variant.id };
  if (product.pricing === 'onRequest')
    return (
      <div className="mt-5">
        <LetterForm
          key={product.id}
          {...asking}
          about={about}
          words="What would you like, and how many?"
          button="Ask for the price"
          isDone={done === 'asked'}
        />
      </div>
    );
  if (variant.inStock || product.orderDelay !== null) return null;
  return (
    <div className="mt-4">
      <LetterForm
        key={variant.id}
        api="/shop-api/back-notes"
        action="/tell-when-back"
        about={about}
        button="Tell me when it is back"
        thanks="We will write to you once, when it is back."
        isDone={done === 'waiting'}
      />
    </div>
  );
}

/** For what the page does not tell. */
export function AskAboutIt({ product, variant, done }: Props) {
  if (product.pricing === 'onRequest') return null;
  return (
    <details className="group mt-8 border-t border-line pt-6" open={done === 'asked' || undefined}>
      <summary className="cursor-pointer font-medium text-sea">Ask us about it</summary>
      <div className="mt-4">
        <LetterForm
          key={product.id}
          {...asking}
          about={{ slug: product.slug, variant: variant.id }}
          words="What would you like to know?"
          button="Send the question"
          isDone={done === 'asked'}
        />
      </div>
    </details>
  );
}
