import { Link } from 'react-router';

interface Props {
  label: string;
  /** of the address */
  view: string;
  tabs: readonly { key: string; name: string }[];
  current: string;
}

/** Pages within a view of the shopfront, one beside the other. */
export const SubTabs = ({ label, view, tabs, current }: Props) => (
  <nav aria-label={label} className="flex flex-wrap gap-x-5 gap-y-1 border-b border-line px-5 py-2">
    {tabs.map(({ key, name }) => (
      <Link
        key={key}
        to={{ search: `?view=${view}&part=${key}` }}
        aria-current={key === current ? 'page' : undefined}
        className="border-b-2 border-transparent py-0.5 text-ink-2 hover:text-ink aria-[current]:border-ink aria-[current]:font-semibold aria-[current]:text-ink"
      >
        {name}
      </Link>
    ))}
  </nav>
);
