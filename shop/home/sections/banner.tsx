import { ChevronLeft, ChevronRight, Pause, Play } from 'lucide-react';
import { useEffect, useState } from 'react';
import { useHref } from '../../base';
import { Picture } from '../../ui/picture';
import { Words } from '../../ui/words';
import type { SectionProps } from './section-props';
import { say } from '../../tongue';

const TURN_MS = 6_000;

const heights = {
  low: { words: 'px-6 py-6 md:px-10 md:py-8', picture: 'max-h-[260px]', least: 'min-h-[220px]' },
  usual: { words: 'px-6 py-10 md:px-12 md:py-16', picture: 'max-h-[440px]', least: 'min-h-[360px]' },
  tall: { words: 'px-6 py-14 md:px-14 md:py-28', picture: 'max-h-[620px]', least: 'min-h-[540px]' },
};

type Slide = SectionProps<'banner'>['section']['slides'][number];

function Said({
  section,
  at,
  slide,
  isFirst,
}: Pick<SectionProps<'banner'>, 'section' | 'isFirst'> & { at: number; slide: Slide }) {
  const href = useHref();
  return (
    <>
      <Words
        as={isFirst && at === 0 ? 'h1' : 'h2'}
        section={section.id}
        field={`slides.${at}.title`}
        text={slide.title}
        hint="Heading"
        className="max-w-full font-display text-4xl font-bold leading-[1.05] tracking-tight md:text-5xl"
      />
      <Words
        as="p"
        section={section.id}
        field={`slides.${at}.text`}
        text={slide.text}
        hint="A sentence or two"
        className="max-w-prose text-lg leading-relaxed text-white/85"
      />
      {slide.buttons.length > 0 && (
        <span className="mt-2 flex flex-wrap gap-3">
          {slide.buttons.map(({ url, label }, i) => (
            <a
              key={i}
              href={href(url)}
              className={`rounded-button px-6 py-3 font-semibold ${i === 0 ? 'bg-white text-deep hover:bg-mist' : 'border border-white/60 text-white hover:border-white'}`}
            >
              {label}
            </a>
          ))}
        </span>
      )}
    </>
  );
}

function OneBanner({
  section,
  at,
  isFirst,
  eager,
}: Pick<SectionProps<'banner'>, 'section' | 'isFirst'> & { at: number; eager: boolean | 'first' }) {
  const slide = section.slides[at]!;
  const { words, picture, least } = heights[section.height];
  const side = section.align === 'centre' ? 'items-center text-center' : 'items-start';
  if (section.place === 'behind' && slide.picture)
    return (
      <div className={`relative flex ${least} items-end overflow-hidden bg-deep text-white`}>
        <Picture
          picture={slide.picture}
          sizes="100vw"
          widest={1600}
          ratio={2}
          eager={eager}
          className="!absolute inset-0 !aspect-auto h-full"
        />
        <span className="absolute inset-0 bg-gradient-to-t from-black/75 via-black/35 to-black/10" aria-hidden="true" />
        <div className={`relative flex w-full flex-col gap-4 ${side} ${words}`}>
          <Said section={section} at={at} slide={slide} isFirst={isFirst} />
        </div>
      </div>
    );
  const isAbove = section.place === 'above';
  return (
    <div className={`bg-deep text-white ${isAbove || !slide.picture ? '' : 'md:grid md:grid-cols-2'}`}>
      {isAbove && slide.picture && (
        <Picture picture={slide.picture} sizes="100vw" widest={1600} ratio={21 / 9} eager={eager} className={picture} />
      )}
      <div className={`flex min-w-0 flex-col justify-center gap-4 ${side} ${words}`}>
        <Said section={section} at={at} slide={slide} isFirst={isFirst} />
      </div>
      {!isAbove && slide.picture && (
        <Picture
          picture={slide.picture}
          sizes="(min-width: 768px) 600px, 100vw"
          widest={800}
          ratio={1.4}
          eager={eager}
          className={`h-full max-md:!aspect-[3/2] ${picture}`}
        />
      )}
    </div>
  );
}

const button = 'flex size-10 items-center justify-center rounded-full bg-black/40 text-white hover:bg-black/60';

/** One banner, or several that take turns: by themselves unless somebody looks closer or wants no movement. */
export function Banner({ section, at: place, isFirst }: SectionProps<'banner'>) {
  const [at, setAt] = useState(0);
  const [isPaused, setPaused] = useState(false);
  const [isHeld, setHeld] = useState(false);
  const count = section.slides.length;
  const current = Math.min(at, count - 1);
  useEffect(() => {
    const isStill = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
    if (count < 2 || isPaused || isHeld || isStill) return;
    const timer = setInterval(() => setAt((now) => (now + 1) % count), TURN_MS);
    return () => clearInterval(timer);
  }, [count, isPaused, isHeld]);
  const round = section.width === 'full' ? '' : 'rounded-3xl';
  if (count < 2)
    return (
      <div className={`overflow-hidden ${round}`}>
        <OneBanner section={section} at={0} isFirst={isFirst} eager={place === 0 ? 'first' : place < 2} />
      </div>
    );
  const turn = (by: number) => setAt((current + by + count) % count);
  return (
    <div
      role="group"
      aria-roledescription="carousel"
      aria-label={section.slides[0]!.title}
      className={`relative overflow-hidden ${round}`}
      onMouseEnter={() => setHeld(true)}
      onMouseLeave={() => setHeld(false)}
      onFocus={() => setHeld(true)}
      onBlur={() => setHeld(false)}
      onKeyDown={(event) => {
        if ((event.target as HTMLElement).isContentEditable) return;
        if (event.key === 'ArrowRight') turn(1);
        if (event.key === 'ArrowLeft') turn(-1);
      }}
    >
      <div className="grid grid-cols-[minmax(0,1fr)]">
        {section.slides.map((_, i) => (
          <div
            key={i}
            role="group"
            aria-roledescription="slide"
            aria-label={`${i + 1} of ${count}`}
            inert={i !== current}
            className={`col-start-1 row-start-1 *:h-full ${i === current ? '' : 'invisible'}`}
          >
            <OneBanner
              section={section}
              at={i}
              isFirst={isFirst}
              eager={i === 0 && (place === 0 ? 'first' : place < 2)}
            />
          </div>
        ))}
      </div>
      <div className="absolute bottom-4 right-4 flex gap-2">
        <button
          type="button"
          className={button}
          aria-label={isPaused ? say('banner.play') : say('banner.pause')}
          onClick={() => setPaused(!isPaused)}
        >
          {isPaused ? <Play size={16} aria-hidden="true" /> : <Pause size={16} aria-hidden="true" />}
        </button>
        <button type="button" className={button} aria-label={say('banner.before')} onClick={() => turn(-1)}>
          <ChevronLeft size={18} aria-hidden="true" />
        </button>
        <button type="button" className={button} aria-label={say('banner.next')} onClick={() => turn(1)}>
          <ChevronRight size={18} aria-hidden="true" />
        </button>
      </div>
    </div>
  );
}
