import { useHref } from '../../base';
import { Picture } from '../../ui/picture';
import { RichText } from '../../ui/rich-text';
import { Heading } from './heading';
import type { SectionProps } from './section-props';

const shares = {
  third: { left: 'md:grid-cols-[1fr_2fr]', right: 'md:grid-cols-[2fr_1fr]' },
  half: { left: 'md:grid-cols-2', right: 'md:grid-cols-2' },
  most: { left: 'md:grid-cols-[2fr_1fr]', right: 'md:grid-cols-[1fr_2fr]' },
};

export function PictureText({ section, isFirst }: SectionProps<'pictureText'>) {
  const href = useHref();
  const { picture, side, share, button } = section;
  return (
    <div className={`grid items-center gap-6 md:gap-12 ${shares[share][side]}`}>
      <div className={`overflow-hidden rounded-3xl ${side === 'right' ? 'md:order-last' : ''}`}>
        <Picture picture={picture} sizes="(min-width: 768px) 50vw, 100vw" widest={640} ratio={4 / 3} />
      </div>
      <div className={`min-w-0 ${section.align === 'centre' ? 'text-center' : ''}`}>
        <Heading section={section} isFirst={isFirst} className="!mb-3" />
        <RichText html={section.html} />
        {button && (
          <a
            href={href(button.url)}
            className="mt-5 inline-block rounded-button bg-deep px-6 py-3 font-semibold text-white hover:brightness-90"
          >
            {button.label}
          </a>
        )}
      </div>
    </div>
  );
}
