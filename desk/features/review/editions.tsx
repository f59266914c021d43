import { format } from 'date-fns';
import { useContext, useState } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { useEditions, useEditionWrites, type Edition, type PlannedEdition } from '../../data/review';
import { WindowContext } from '../../shared/window-state';
import { Button } from '../../shared/ui/button';
import { useConfirm } from '../../shared/ui/confirm';
import { Dialog } from '../../shared/ui/dialog';
import { Failed } from '../../shared/ui/states';
import { SwingTag } from '../../shared/ui/swing-tag';
import { KeepDialog, keepWords } from './keep-dialog';

const moment = (at: string) => format(new Date(at), 'EEE d MMM HH:mm');
const action = 'text-xs font-semibold text-ink-2 hover:text-ink hover:underline';

/** Name and note of an edition, which are for the seller alone. */
function NameDialog({ edition, close }: { edition: Edition; close: () => void }) {
  const { edit } = useEditionWrites();
  const [label, setLabel] = useState(edition.label);
  const [note, setNote] = useState(edition.note);
  return (
    <Dialog title={`Edition ${edition.number}`} isOpen close={close}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          edit.mutate({ number: edition.number, label, note }, { onSuccess: close });
        }}
        className="flex flex-col gap-3"
      >
        <label className="flex flex-col gap-1">
          <span className="text-xs text-ink-2">Name</span>
          <input value={label} maxLength={120} onChange={(event) => setLabel(event.target.value)} className="field" />
        </label>
        <label className="flex flex-col gap-1">
          <span className="text-xs text-ink-2">Note</span>
          <textarea
            value={note}
            rows={4}
            maxLength={2000}
            onChange={(event) => setNote(event.target.value)}
            className="field"
          />
        </label>
        <div className="flex justify-end gap-2">
          <Button onClick={close}>Leave it</Button>
          <Button look="main" type="submit" disabled={edit.isPending}>
            Save
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

function Planned({ planned }: { planned: PlannedEdition }) {
  const { setEdition } = useContext(WindowContext);
  const { callOff } = useEditionWrites();
  const { id, at, label, documents, touched, userName } = planned;
  return (
    <li className="border-t border-line py-2">
      <span className="flex items-center gap-2">
        <span className="font-semibold">{moment(at)}</span>
        <SwingTag look="sky">Planned</SwingTag>
      </span>
      <span className="block text-xs text-ink-2">
        {[label, `${documents} ${documents === 1 ? 'change' : 'changes'}`, userName].filter(Boolean).join(' · ')}
      </span>
      {touched.length > 0 && (
        <p className="mt-1 rounded-md bg-marigold-soft px-2 py-1 text-xs text-marigold-ink">
          Changed again since, and going live as it was:{' '}
          {touched
            .slice(0, 3)
            .map(({ title }) => title)
            .join(', ')}
          {touched.length > 3 && ` and ${touched.length - 3} more`}
        </p>
      )}
      <span className="mt-0.5 flex flex-wrap items-baseline gap-x-3">
        <button
          type="button"
          className={action}
          onClick={() => setEdition({ id, words: `The shop as it will be on ${moment(at)}` })}
        >
          See it
        </button>
        <button
          type="button"
          className={action}
          onClick={() =>
            callOff.mutate(id, { onSuccess: () => void toast('Called off: its changes wait for the next edition') })
          }
        >
          Call it off
        </button>
      </span>
    </li>
  );
}

/** The editions that shoppers saw, and those that they will see. */
export function Editions({ live }: { live: number }) {
  const { data, error } = useEditions();
  const { goBack } = useEditionWrites();
  const { setEdition } = useContext(WindowContext);
  const [ask, dialog] = useConfirm();
  const [named, setNamed] = useState<Edition | null>(null);
  const [isKeeping, setKeeping] = useState(false);
  if (error) return <Failed error={error} />;
  return (
    <aside aria-label="Editions" className="w-[250px] shrink-0 max-xl:w-full">
      {data && data.planned.length > 0 && (
        <>
          <h2 className="mb-2 font-display text-[15px] font-bold">Planned</h2>
          <ul className="mb-5">
            {data.planned.map((planned) => (
              <Planned key={planned.id} planned={planned} />
            ))}
          </ul>
        </>
      )}
      <h2 className="mb-2 font-display text-[15px] font-bold">Editions</h2>
      {data?.editions.length === 0 && <p className="text-ink-2">None yet. The first one opens the shop.</p>}
      <ul>
        {(data?.editions ?? []).map((edition) => (
          <li key={edition.number} className="flex gap-2.5 border-t border-line py-2">
            <span className="w-7 font-display font-bold">{edition.number}</span>
            <span className="min-w-0 flex-1">
              <span className="flex items-center gap-2">
                {moment(edition.at)}
                {edition.number === live && <SwingTag look="petrol">Live</SwingTag>}
              </span>
              <span className="block truncate text-xs text-ink-2" title={edition.label}>
                {[edition.label, edition.userName].filter(Boolean).join(' · ')}
              </span>
              {edition.note && <span className="block whitespace-pre-line text-xs text-ink-2">{edition.note}</span>}
              <span className="mt-0.5 flex flex-wrap items-baseline gap-x-3">
                {edition.number !== live && (
                  <>
                    <button
                      type="button"
                      className={action}
                      onClick={() =>
                        setEdition({
                          id: String(edition.number),
                          words: `The shop as edition ${edition.number} had it`,
                        })
                      }
                    >
                      See it
                    </button>
                    <Link to={`/review?from=${edition.number}`} className={action}>
                      Compare
                    </Link>
                    <button
                      type="button"
                      className={action}
                      onClick={() =>
                        ask({
                          title: `Go back to edition ${edition.number}?`,
                          detail:
                            'Shoppers see it at once. Your working copy stays as it is, and you can go forward again.',
                          doIt: 'Make it live again',
                          run: () =>
                            goBack.mutate(edition.number, {
                              onSuccess: (made) => void toast(`Edition ${made.number} is live: ${made.label}`),
                            }),
                        })
                      }
                    >
                      Go back to this
                    </button>
                  </>
                )}
                <button
                  type="button"
                  className={action}
                  aria-label={`Name edition ${edition.number}`}
                  onClick={() => setNamed(edition)}
                >
                  Name it
                </button>
              </span>
            </span>
          </li>
        ))}
      </ul>
      {data && data.editions.length > 2 && (
        <p className="mt-2 border-t border-line pt-2 text-xs text-ink-2">
          {keepWords(data.keep)}.{' '}
          <button type="button" className={action} onClick={() => setKeeping(true)}>
            Change
          </button>
        </p>
      )}
      {isKeeping && data && <KeepDialog keep={data.keep} close={() => setKeeping(false)} />}
      {dialog}
      {named && <NameDialog edition={named} close={() => setNamed(null)} />}
    </aside>
  );
}
