import { mediaUrl } from '../../../core/storefront/picture-sizes';
import { Heading } from './heading';
import type { SectionProps } from './section-props';
import { say } from '../../tongue';

/** A film with its captions. It never begins by itself, and nothing of it is loaded before it may be wanted. */
export function Film({ section, isFirst }: SectionProps<'film'>) {
  const { url, captions, poster, caption, title } = section;
  if (url === null) return null;
  return (
    <>
      <Heading section={section} isFirst={isFirst} />
      <figure>
        <video
          controls
          playsInline
          preload={poster ? 'none' : 'metadata'}
          poster={poster ? mediaUrl(poster.media, 960) : undefined}
          aria-label={title || caption || say('film.name')}
          className="aspect-video w-full rounded-2xl bg-ink object-cover"
        >
          <source src={url} />
          <track kind="captions" src={captions ?? undefined} label={say('film.captions')} default={captions !== null} />
        </video>
        {caption && <figcaption className="mt-2 text-sm text-ink-soft">{caption}</figcaption>}
      </figure>
    </>
  );
}
