import { formatDistanceToNow } from 'date-fns';
import { useState } from 'react';
import { toast } from 'sonner';
import type { Role } from '../../../../contract/desk';
import { languageName } from '../../../../core/model/languages';
import { BASE } from '../../../data/base';
import { CallError, wordsOf } from '../../../data/api';
import { useLanguages } from '../../../data/languages';
import { usePeople, usePeopleWrites, type People } from '../../../data/people';
import { useSession } from '../../../data/session';
import { Button } from '../../../shared/ui/button';
import { TextField } from '../../../shared/ui/field';
import { Select } from '../../../shared/ui/select';
import { Failed, Loading } from '../../../shared/ui/states';

interface Rights {
  role: Role;
  /** languages into which somebody translates, and does nothing else; null for who may do more */
  languages: string[] | null;
}

const inEnglish = (locales: readonly string[]) => locales.map((locale) => languageName(locale, 'en')).join(', ');

/** What somebody may do. A translator is a helper who is limited to languages, one of them at least. */
function RightsField({
  label,
  rights,
  change,
  className,
}: {
  label: string;
  rights: Rights;
  change: (rights: Rights) => void;
  className?: string;
}) {
  const { data } = useLanguages();
  const { role, languages } = rights;
  const locales = data?.languages.map(({ locale }) => locale) ?? [];
  return (
    <span className={className}>
      <Select
        label={label}
        value={languages ? 'translator' : role}
        choices={[
          { value: 'owner', label: 'owner' },
          { value: 'helper', label: 'helper' },
          ...(locales.length > 0 || languages ? [{ value: 'translator', label: 'translator' }] : []),
        ]}
        choose={(next) =>
          change(
            next === 'translator' ? { role: 'helper', languages: locales } : { role: next as Role, languages: null },
          )
        }
        className="w-32 !py-[7px]"
      />
      {languages &&
        [...new Set([...locales, ...languages])].map((locale) => (
          <label key={locale} className="mt-1 flex items-center gap-1.5 text-xs">
            <input
              type="checkbox"
              checked={languages.includes(locale)}
              disabled={languages.length === 1 && languages[0] === locale}
              onChange={({ target }) =>
                change({
                  role,
                  languages: target.checked ? [...languages, locale] : languages.filter((each) => each !== locale),
                })
              }
              className="accent-petrol"
            />
            {languageName(locale, 'en')}
          </label>
        ))}
    </span>
  );
}

const failed = (error: unknown) => toast.error(wordsOf(error));

/** Invites somebody by a link that is shown once. */
function InviteForm() {
  const { invite } = usePeopleWrites();
  const [email, setEmail] = useState('');
  const [rights, setRights] = useState<Rights>({ role: 'helper', languages: null });
  const problem =
    invite.error instanceof CallError ? invite.error.errors[0]?.message : invite.error && wordsOf(invite.error);
  const link = invite.data && `${window.location.origin}${BASE}/join#${invite.data.code}`;
  return (
    <section aria-labelledby="invite">
      <h2 id="invite" className="mb-1 font-display text-lg font-bold">
        Invite somebody
      </h2>
      <form
        className="flex flex-wrap items-start gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          invite.mutate({ email, ...rights }, { onSuccess: () => setEmail('') });
        }}
      >
        <div className="w-72">
          <TextField
            label="Their mail address"
            type="email"
            value={email}
            error={problem ?? undefined}
            onChange={({ target }) => setEmail(target.value)}
          />
        </div>
        <RightsField label="As" rights={rights} change={setRights} className="mt-[22px]" />
        <Button type="submit" className="mt-[22px]" disabled={email.trim() === '' || invite.isPending}>
          Make a link
        </Button>
      </form>
      <p className="mt-1 text-xs text-ink-2">
        Owners may do everything. Helpers may do all but let others in and open or close the shop. Translators change
        texts in their languages, and nothing else.
      </p>
      {link && (
        <div role="status" className="mt-3 rounded-lg bg-marigold-soft px-4 py-3">
          <p>Send this link to {invite.data.email}. It works once, for a week, and is not shown again.</p>
          <p className="mt-1 flex flex-wrap items-center gap-3">
            <code className="min-w-0 break-all">{link}</code>
            <Button onClick={() => void navigator.clipboard.writeText(link).then(() => toast('Copied the link'))}>
              Copy
            </Button>
          </p>
        </div>
      )}
    </section>
  );
}

function PersonLine({ person, isMe, isOwner }: { person: People['people'][number]; isMe: boolean; isOwner: boolean }) {
  const { setRole, remove, signOutElsewhere } = usePeopleWrites();
  const { id, name, email, role, languages, sessions } = person;
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-hair py-2.5 last:border-0">
      <span className="min-w-0 flex-1">
        <span className="font-semibold">{name}</span> {isMe && <span className="text-ink-2">(you)</span>}
        <span className="block text-ink-2">
          {email}
          {sessions > 0 && ` · active in ${sessions === 1 ? 'one place' : `${sessions} places`}`}
        </span>
      </span>
      {isOwner ? (
        <RightsField
          label={`Role of ${name}`}
          rights={{ role, languages }}
          change={(rights) => setRole.mutate({ id, ...rights }, { onError: failed })}
        />
      ) : (
        <span className="text-ink-2">{languages ? `translates: ${inEnglish(languages)}` : role}</span>
      )}
      {isMe && sessions > 1 && (
        <Button
          onClick={() =>
            signOutElsewhere.mutate(undefined, {
              onSuccess: () => toast('Signed out everywhere else'),
              onError: failed,
            })
          }
        >
          Sign out everywhere else
        </Button>
      )}
      {isOwner && !isMe && (
        <Button
          look="bare"
          onClick={() =>
            remove.mutate(id, { onSuccess: () => toast(`${name} cannot sign in any more`), onError: failed })
          }
        >
          Remove
        </Button>
      )}
    </li>
  );
}

/** Who may sign in at the desk. */
export function PeoplePage() {
  const { data, error, refetch } = usePeople();
  const { data: session } = useSession();
  const { takeBackInvite } = usePeopleWrites();
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading rows={3} />;
  const isOwner = session?.user?.role === 'owner';
  return (
    <div className="min-h-0 flex-1 overflow-y-auto p-5">
      <div className="flex max-w-3xl flex-col gap-6">
        <section aria-labelledby="people">
          <h2 id="people" className="mb-1 font-display text-lg font-bold">
            People who may sign in
          </h2>
          <ul className="sheet px-4">
            {data.people.map((person) => (
              <PersonLine key={person.id} person={person} isMe={person.id === session?.user?.id} isOwner={isOwner} />
            ))}
          </ul>
          <p className="mt-1 text-xs text-ink-2">You change your own password in the menu with your name.</p>
        </section>
        {data.invites.length > 0 && (
          <section aria-labelledby="invited">
            <h2 id="invited" className="mb-1 font-display text-lg font-bold">
              Invited
            </h2>
            <ul className="sheet px-4">
              {data.invites.map(({ id, email, role, languages, invitedBy, expires }) => (
                <li key={id} className="flex flex-wrap items-center gap-4 border-b border-hair py-2.5 last:border-0">
                  <span className="min-w-0 flex-1">
                    <span className="font-semibold">{email}</span>
                    <span className="block text-ink-2">
                      as {languages ? `translator: ${inEnglish(languages)}` : role}, by {invitedBy}; the link works for
                      another {formatDistanceToNow(new Date(expires))}
                    </span>
                  </span>
                  {isOwner && (
                    <Button look="bare" onClick={() => takeBackInvite.mutate(id, { onError: failed })}>
                      Take back
                    </Button>
                  )}
                </li>
              ))}
            </ul>
          </section>
        )}
        {isOwner && <InviteForm />}
      </div>
    </div>
  );
}
