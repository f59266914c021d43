import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import type { Languages } from '../../../core/model/languages';
import type { Settings } from '../../../core/model/settings';
import { useLanguages } from '../../data/languages';
import { useSettings } from '../../data/shopfront';
import { useSettingsSave } from '../../shared/autosave/settings-save';
import { useField } from '../../shared/autosave/use-autosave';
import { Button } from '../../shared/ui/button';
import { Empty, Failed, Loading } from '../../shared/ui/states';

type Term = Languages['glossary'][number];

function Terms({ settings }: { settings: Settings }) {
  const { data } = useLanguages();
  const save = useSettingsSave(settings);
  const field = useField<Languages>(save, 'languages');
  const { glossary } = field.value;
  const [added, setAdded] = useState('');
  const put = (next: Term[]) => field.change({ ...field.value, glossary: next });
  const change = (at: number, term: Term) => put(glossary.map((each, i) => (i === at ? term : each)));
  const languages = data?.languages ?? [];
  const add = () => {
    const term = added.trim();
    if (term === '' || glossary.some((each) => each.term.toLowerCase() === term.toLowerCase())) return;
    put([...glossary, { term, as: {} }]);
    setAdded('');
  };
  return (
    <div className="sheet max-w-4xl overflow-x-auto p-4">
      <p className="mb-3 max-w-prose text-ink-2">
        Terms that are always called the same. Where a translation calls one otherwise, the editor says so, and drafts
        are made with these words.
      </p>
      {glossary.length === 0 ? (
        <Empty title="No terms yet">Add what your shop has words of its own for, such as “sport kite”.</Empty>
      ) : (
        <table className="w-full border-collapse">
          <thead>
            <tr className="text-left text-xs text-ink-2">
              <th scope="col" className="py-1 pr-3 font-normal">
                Term
              </th>
              {languages.map(({ locale, name }) => (
                <th key={locale} scope="col" className="py-1 pr-3 font-normal">
                  {name}
                </th>
              ))}
              <th scope="col">
                <span className="sr-only">Delete</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {glossary.map((term, at) => (
              <tr key={term.term}>
                <th scope="row" className="py-1 pr-3 text-left font-medium">
                  {term.term}
                </th>
                {languages.map(({ locale, name }) => (
                  <td key={locale} className="py-1 pr-3">
                    <input
                      aria-label={`${term.term} in ${name}`}
                      lang={locale}
                      value={term.as[locale] ?? ''}
                      onChange={(event) => change(at, { ...term, as: { ...term.as, [locale]: event.target.value } })}
                      className="field w-full min-w-32"
                    />
                  </td>
                ))}
                <td className="py-1">
                  <Button
                    look="bare"
                    aria-label={`Delete ${term.term}`}
                    onClick={() => put(glossary.filter((_, i) => i !== at))}
                  >
                    <Trash2 size={14} aria-hidden="true" />
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <form
        className="mt-3 flex gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          add();
        }}
      >
        <input
          aria-label="New term"
          placeholder="A term in your language"
          value={added}
          maxLength={80}
          onChange={(event) => setAdded(event.target.value)}
          className="field w-64"
        />
        <Button type="submit" disabled={added.trim() === ''}>
          <Plus size={13} aria-hidden="true" /> Add
        </Button>
      </form>
      {field.error && (
        <p role="alert" className="mt-2 text-rose-ink">
          {field.error}
        </p>
      )}
    </div>
  );
}

/** Terms that are translated in one way only. */
export function Glossary() {
  const { data, error } = useSettings();
  if (error) return <Failed error={error} />;
  return data ? <Terms settings={data} /> : <Loading rows={4} />;
}
