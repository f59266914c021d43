import clsx from 'clsx';
import { ChevronRight } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import type { GoodsSection } from '../../../../contract/goods';
import {
  chosenSpan,
  chosenValues,
  holdsNode,
  isAsked,
  setSpan,
  toggleNode,
  toggleValue,
  toggleYes,
} from '../../../../core/rules/narrow';
import { optionOfField } from '../../../../core/rules/field';
import type { Rule, RuleNode } from '../../../../core/model/rule';
import { count as asCount } from '../../../shared/ui/count';
import { useRemembered } from '../../../shared/ui/use-remembered';
import { RangeSection } from './range-section';

const FIRST = 7;
/** Sections in the order of a seller's day; all others follow, options and specs among them. */
const order = [
  'status',
  'category',
  'loose',
  'brand',
  'price',
  'stock',
  'tag',
  'margin',
  'places',
  'exposure',
  'viewed',
  'daysLeft',
  'supplier',
];
/** Fields that are known by their product rather than by a value of their own. */
const yesFields = ['featured', 'onSale'];

interface LooseEndCount {
  key: string;
  label: string;
  count: number;
  node: RuleNode;
}

interface Props {
  sections: readonly GoodsSection[];
  looseEnds: readonly LooseEndCount[];
  rule: Rule;
  change: (rule: Rule) => void;
  open: ReadonlySet<string>;
  toggleOpen: (key: string) => void;
}

interface RowProps {
  label: string;
  count: number;
  most: number;
  level?: number;
  selected: boolean;
  isTurned?: boolean;
  toggle: () => void;
}

function Row({ label, count, most, level = 1, selected, isTurned = false, toggle }: RowProps) {
  return (
    <li>
      <button
        type="button"
        aria-pressed={selected}
        onClick={toggle}
        className={clsx(
          'relative flex w-full items-center justify-between gap-2 rounded-md px-3 py-[3px] text-left hover:bg-sunk/70',
          selected && 'bg-marigold-soft font-semibold',
        )}
      >
        <span
          className={clsx('absolute inset-y-[3px] left-2 rounded', selected ? 'bg-marigold/35' : 'bg-sunk')}
          style={{ width: `${(count / most) * 72}%` }}
          aria-hidden="true"
        />
        <span className="relative truncate" style={{ paddingLeft: (level - 1) * 12 }}>
          {selected && isTurned ? `Not ${label}` : label.charAt(0).toUpperCase() + label.slice(1)}
        </span>
        <span className="relative shrink-0 text-ink-2">{asCount(count)}</span>
      </button>
    </li>
  );
}

function Values({
  section,
  rule,
  change,
}: Pick<Props, 'rule' | 'change'> & { section: GoodsSection & { type: 'choice' } }) {
  const [isLong, setLong] = useState(section.key === 'category');
  const { values: chosen, isTurned } = chosenValues(rule, section.key);
  const most = Math.max(1, ...section.values.map((value) => value.count));
  const shown = isLong ? section.values : section.values.filter(({ value }, i) => i < FIRST || chosen.includes(value));
  const more = section.values.length - shown.length;
  return (
    <>
      <ul>
        {shown.map(({ value, label, count, level }) => (
          <Row
            key={value}
            {...{ label, count, most, level, isTurned }}
            selected={chosen.includes(value)}
            toggle={() => change(toggleValue(rule, section.key, value))}
          />
        ))}
      </ul>
      {more > 0 && (
        <button type="button" onClick={() => setLong(true)} className="px-3 py-1 text-petrol hover:underline">
          {more} more
        </button>
      )}
    </>
  );
}

/** The left column: what the goods can be narrowed by, with how many there would be. */
export function NarrowColumn({ sections, looseEnds, rule, change, open, toggleOpen }: Props) {
  const byKey = new Map(sections.map((section) => [section.key, section]));
  const isAlive = (section: GoodsSection) => section.type !== 'choice' || section.values.length > 0;
  const [isMore, setMore] = useRemembered<boolean>('dispona.goods.more', false);
  const others = sections.map(({ key }) => key).filter((key) => !order.includes(key) && !yesFields.includes(key));
  // What the seller has open stays in sight; the rest waits behind one line.
  const keys = [...order, ...others.filter((key) => isMore || open.has(key) || optionOfField(key) !== undefined)];
  const section = (key: string, label: string, content: () => ReactNode, note?: string) => (
    <section key={key} className="mb-1.5">
      <h2>
        <button
          type="button"
          aria-expanded={open.has(key)}
          onClick={() => toggleOpen(key)}
          className="flex w-full items-center gap-1 px-3 py-1 text-left font-semibold hover:text-petrol-ink"
        >
          <span className="truncate">{label}</span>
          {note && <span className="truncate text-xs font-normal text-ink-2">{note}</span>}
          <ChevronRight
            size={13}
            className={clsx('ml-auto shrink-0 text-ink-2', open.has(key) && 'rotate-90')}
            aria-hidden="true"
          />
        </button>
      </h2>
      {open.has(key) && <div className="mb-2.5">{content()}</div>}
    </section>
  );
  const found = yesFields.flatMap((key) => {
    const known = byKey.get(key);
    return known?.type === 'choice' ? known.values.map(({ count }) => ({ key, label: known.label, count })) : [];
  });
  const loose = looseEnds.filter(({ count, node }) => count > 0 || holdsNode(rule, node));
  return (
    <aside
      aria-label="Narrow the goods"
      className="w-[195px] shrink-0 overflow-y-auto border-r border-line py-2.5 max-md:w-full max-md:border-0"
    >
      {keys.map((key) => {
        if (key === 'loose') {
          const most = Math.max(1, ...loose.map(({ count }) => count));
          const rows = () => (
            <ul>
              {loose.map(({ key: each, label, count, node }) => (
                <Row
                  key={each}
                  {...{ label, count, most }}
                  selected={holdsNode(rule, node)}
                  toggle={() => change(toggleNode(rule, node))}
                />
              ))}
              {loose.length === 0 && <li className="px-3 text-ink-2">None among these.</li>}
            </ul>
          );
          return section('loose', 'Loose ends', rows);
        }
        const known = byKey.get(key);
        if (!known || !isAlive(known)) return null;
        const isTwice = sections.some((other) => other !== known && other.label === known.label);
        const what = optionOfField(key) !== undefined ? 'option' : key.startsWith('spec.') ? 'spec' : undefined;
        const note = isTwice ? what : known.onVariant && known.type !== 'choice' ? 'of the variant' : undefined;
        return section(
          key,
          known.label,
          () =>
            known.type === 'choice' ? (
              <Values section={known} rule={rule} change={change} />
            ) : (
              <RangeSection
                section={known}
                span={chosenSpan(rule, key)}
                change={(span) => change(setSpan(rule, key, span))}
              />
            ),
          note,
        );
      })}
      {found.length > 0 &&
        section('marks', 'Marked', () => (
          <ul>
            {found.map(({ key, label, count }) => (
              <Row
                key={key}
                {...{ label, count }}
                most={Math.max(...found.map((each) => each.count))}
                selected={isAsked(rule, key)}
                toggle={() => change(toggleYes(rule, key))}
              />
            ))}
          </ul>
        ))}
      {others.length > 0 && (
        <button
          type="button"
          onClick={() => setMore(!isMore)}
          className="px-3 py-1 font-medium text-petrol-ink hover:underline"
        >
          {isMore ? 'Fewer fields' : 'More fields: kind, cost, discount, specs …'}
        </button>
      )}
    </aside>
  );
}
