import {
  Clock,
  Gift,
  HandHeart,
  Leaf,
  MapPin,
  MessageCircle,
  Package,
  ShieldCheck,
  Undo2,
  Wind,
  type LucideIcon,
} from 'lucide-react';
import { Words } from '../../ui/words';
import { Heading } from './heading';
import { wideColumns } from './columns';
import type { SectionProps } from './section-props';

type Icon = SectionProps<'facts'>['section']['facts'][number]['icon'];

const icons: Record<Exclude<Icon, 'none'>, LucideIcon> = {
  parcel: Package,
  return: Undo2,
  hand: HandHeart,
  leaf: Leaf,
  wind: Wind,
  clock: Clock,
  chat: MessageCircle,
  shield: ShieldCheck,
  pin: MapPin,
  gift: Gift,
};

export function Facts({ section, isFirst }: SectionProps<'facts'>) {
  if (section.facts.length === 0) return null;
  return (
    <>
      <Heading section={section} isFirst={isFirst} />
      <ul className={`grid gap-x-6 gap-y-5 ${wideColumns[Math.min(4, section.facts.length)]}`}>
        {section.facts.map(({ icon, title, words }, i) => {
          const Icon = icon === 'none' ? null : icons[icon];
          return (
            <li key={i} className="flex gap-3">
              {Icon && <Icon size={24} strokeWidth={1.5} className="mt-0.5 shrink-0" aria-hidden="true" />}
              <div className="min-w-0">
                <Words
                  as="p"
                  section={section.id}
                  field={`facts.${i}.title`}
                  text={title}
                  hint="Fact"
                  className="font-semibold"
                />
                <Words
                  as="p"
                  section={section.id}
                  field={`facts.${i}.words`}
                  text={words}
                  hint="A few words more"
                  className="text-sm leading-relaxed opacity-80"
                />
              </div>
            </li>
          );
        })}
      </ul>
    </>
  );
}
