import type { BodyProps } from './parts';
import { say } from './tongue';

/** What stands where there is no page. */
export const MissingPage = ({ page, data }: BodyProps<'missing'>) => (
  <div className="px-4 py-24 text-center">
    <h1 className="font-display text-3xl font-bold text-ink">{page.heading}</h1>
    <p className="mt-3 text-ink-soft">{page.message}</p>
    <a href={`${data.base}/`} className="mt-6 inline-block rounded-button bg-deep px-6 py-3 font-semibold text-white">
      {say('frame.toHome')}
    </a>
  </div>
);
