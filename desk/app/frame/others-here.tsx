import { Link, useLocation } from 'react-router';
import { productFields } from '../../../core/model/product-fields';
import { usePresence, type AtWork } from '../../data/presence';

const words: Readonly<Record<string, { words: string } | undefined>> = productFields;

/** Names of fields as one reads them. */
const fieldNames = (fields: readonly string[]) => fields.map((field) => words[field]?.words ?? field).join(', ');

const initials = (name: string) =>
  name
    .split(/\s+/)
    .map((part) => part.charAt(0))
    .join('')
    .slice(0, 2)
    .toUpperCase();

const whereWords = ({ name, title, unsaved }: AtWork) =>
  `${name} is at “${title}”${unsaved.length > 0 ? ` and has not saved: ${fieldNames(unsaved)}` : ''}`;

/** One for each person, wherever they are in however many tabs: the place in which they moved last. */
const onePerPerson = (others: readonly AtWork[]) => [
  ...new Map([...others].reverse().map((each) => [each.userId, each])).values(),
];

/** The other people at work, with the way to where they are. */
export default function OthersHere() {
  const { data = [] } = usePresence();
  return (
    <span className="flex shrink-0 -space-x-1.5 max-md:hidden">
      {onePerPerson(data)
        .slice(0, 4)
        .map((person) => (
          <Link
            key={person.userId}
            to={person.path}
            title={whereWords(person)}
            aria-label={whereWords(person)}
            className="grid size-7 place-items-center rounded-full bg-petrol text-[11px] font-bold text-sheet ring-2 ring-edge"
          >
            {initials(person.name)}
          </Link>
        ))}
    </span>
  );
}

/** Says who else is on this very screen, and what they are typing there. */
export function HereToo() {
  const { data = [] } = usePresence();
  const { pathname } = useLocation();
  const here = onePerPerson(data.filter(({ path }) => path === pathname));
  if (here.length === 0) return null;
  return (
    <p
      role="status"
      className="flex flex-wrap gap-x-3 border-b border-line bg-marigold-soft px-4 py-1 text-[13px] text-marigold-ink"
    >
      {here.map(({ userId, name, unsaved }) => (
        <span key={userId}>
          <strong>{name}</strong> is here too
          {unsaved.length > 0 && `, and is changing ${fieldNames(unsaved)}`}.
        </span>
      ))}
    </p>
  );
}
