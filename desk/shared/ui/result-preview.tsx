import { pixelWidth, shownText, SHOWN_PIXELS } from './pixel-width';

/** A page as it may look in a list of results, with how much of it is cut. */
export function ResultPreview({
  origin,
  url,
  title,
  description,
}: {
  origin: string;
  url: string;
  title: string;
  description: string;
}) {
  const cut = (['title', 'description'] as const).filter(
    (as) => pixelWidth(as === 'title' ? title : description, as) > SHOWN_PIXELS[as],
  );
  return (
    <div className="min-w-0 max-w-[600px]">
      <p className="truncate text-xs text-ink-2">{origin.replace(/^https?:\/\//, '') + url}</p>
      <p className="break-words text-[18px] leading-snug text-sky-ink">{shownText(title, 'title')}</p>
      <p className="break-words text-ink-2">
        {description ? shownText(description, 'description') : 'A piece of the page.'}
      </p>
      {cut.length > 0 && (
        <p className="text-xs text-marigold-ink">
          {cut
            .map(
              (as) =>
                `${as === 'title' ? 'Title' : 'Description'}: ${pixelWidth(as === 'title' ? title : description, as)} of ${SHOWN_PIXELS[as]} pixels`,
            )
            .join('; ')}
        </p>
      )}
    </div>
  );
}
