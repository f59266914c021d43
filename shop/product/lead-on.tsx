import type { ProductView, VariantView } from '../../core/storefront/views';
import { LetterForm } from './letter-form';
import { say } from '../tongue';

interface Props {
  product: ProductView;
  variant: VariantView;
  /** what was sent as a plain form just now */
  done: string | null;
}

const asking = { api: '/shop-api/questions', action: '/ask' };

/** Where a product cannot simply be had, what a shopper can do instead: ask for its price, or be told when it is back. */
export function LeadOn({ product, variant, done }: Props) {
  const about = { slug: product.slug, variant: variant.id };
  if (product.pricing === 'onRequest')
    return (
      <div className="mt-5">
        <LetterForm
          key={product.id}
          {...asking}
          thanks={say('ask.thanks')}
          about={about}
          words={say('ask.priceWords')}
          button={say('ask.price')}
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
        button={say('ask.back')}
        thanks={say('ask.backThanks')}
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
      <summary className="cursor-pointer font-medium text-sea">{say('ask.about')}</summary>
      <div className="mt-4">
        <LetterForm
          key={product.id}
          {...asking}
          thanks={say('ask.thanks')}
          about={{ slug: product.slug, variant: variant.id }}
          words={say('ask.aboutWords')}
          button={say('ask.send')}
          isDone={done === 'asked'}
        />
      </div>
    </details>
  );
}
