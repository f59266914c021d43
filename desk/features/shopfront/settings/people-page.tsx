import { formatDistanceToNow } from 'date-fns';
import { useState } from 'react';
import { toast } from 'sonner';
import type { Role } from '../../../../contract/desk';
import { languageName } from '../../../../core/model/languages';
import { BASE } from '../../../data/base';
import { CallError, wordsOf } from '../../../data/api';
import { useLanguages } from '../../../data/languages';
import { usePeople, usePeopleWrites, type People, type Rights } from '../../../data/people';
import { useSuppliers } from '../../../data/suppliers';
import { useSession } from '../../../data/session';
import { Button } from '../../../shared/ui/button';
import { YourPlaces } from '../../../shared/people/your-places';
import { TextField } from '../../../shared/ui/field';
import { Select } from '../../../shared/ui/select';
import { Failed, Loading } from '../../../shared/ui/states';
import { tellRefused } from '../../../data/tell-refused';
import { emptied } from '../../../shared/ui/emptied';

const inEnglish = (locales: readonly string[]) => locales.map((locale) => languageName(locale, 'en')).join(', ');

/** What somebody is called who is limited to something; their role otherwise. */
const kindOf = ({ role, languages, suppliers }: Rights) => (suppliers ? 'maker' : languages ? 'translator' : role);

const rightsWords = (rights: Rights) =>
  [kindOf(rights), rights.languages && inEnglish(rights.languages)].filter(Boolean).join(': ');

interface LimitsProps {
  label: string;
  choices: readonly { value: string; label: string }[];
  chosen: readonly string[];
  /** one of them stays at least */
  isNeeded: boolean;
  change: (chosen: string[]) => void;
}

/** To which of some things somebody is limited. */
const Limits = ({ label, choices, chosen, isNeeded, change }: LimitsProps) => (
  <fieldset className="mt-1">
    <legend className="text-xs text-ink-2">{label}</legend>
    {choices.map(({ value, label: words }) => (
      <label key={value} className="mt-1 flex items-center gap-1.5 text-xs">
        <input
          type="checkbox"
          checked={chosen.includes(value)}
          disabled={isNeeded && chosen.length === 1 && chosen[0] === value}
          onChange={({ target }) =>
            change(target.checked ? [...chosen, value] : chosen.filter((each) => each !== value))
          }
          className="accent-petrol"
        />
        {words}
      </label>
    ))}
  </fieldset>
);

/** What somebody may do. Translators and makers are helpers who are limited: to languages, or to goods of suppliers. */
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
  const { data: known } = useSuppliers();
  const { languages, suppliers } = rights;
  const locales = [...new Set([...(data?.languages.map(({ locale }) => locale) ?? []), ...(languages ?? [])])];
  const sources = known?.suppliers ?? [];
  const choose = (kind: string) => {
    if (kind === 'translator') change({ role: 'helper', languages: locales, suppliers: null });
    else if (kind === 'maker') change({ role: 'helper', languages: null, suppliers: [sources[0]!.id] });
    else change({ role: kind as Role, languages: null, suppliers: null });
  };
  return (
    <span className={className}>
      <Select
        label={label}
        value={kindOf(rights)}
        choices={[
          { value: 'owner', label: 'owner' },
          { value: 'helper', label: 'helper' },
          ...(locales.length > 0 ? [{ value: 'translator', label: 'translator' }] : []),
          ...(sources.length > 0 || suppliers ? [{ value: 'maker', label: 'maker' }] : []),
        ]}
        choose={choose}
        className="w-32 !py-[7px]"
      />
      {suppliers && (
        <Limits
          label="Proposes for goods of"
          choices={sources.map(({ id, name }) => ({ value: id, label: name }))}
          chosen={suppliers}
          isNeeded
          change={(chosen) => change({ ...rights, suppliers: chosen })}
        />
      )}
      {(languages ?? (suppliers && locales.length > 0 ? [] : null)) && (
        <Limits
          label={suppliers ? 'Also in' : 'Into'}
          choices={locales.map((locale) => ({ value: locale, label: languageName(locale, 'en') }))}
          chosen={languages ?? []}
          isNeeded={!suppliers}
          change={(chosen) => change({ ...rights, languages: chosen.length > 0 ? chosen : null })}
        />
      )}
    </span>
  );
}

const linkOf = (code: string) => `${window.location.origin}${BASE}/join#${code}`;

/** A link that is shown once, to be handed to somebody. */
const OnceLink = ({ link, words }: { link: string; words: string }) => (
  <div role="status" className="mt-3 rounded-lg bg-marigold-soft px-4 py-3">
    <p>{words}</p>
    <p className="mt-1 flex flex-wrap items-center gap-3">
      <code className="min-w-0 break-all">{link}</code>
      <Button onClick={() => void navigator.clipboard.writeText(link).then(() => toast('Copied the link'))}>
        Copy
      </Button>
    </p>
  </div>
);

/** Invites somebody by a link that is shown once. */
function InviteForm() {
  const { invite } = usePeopleWrites();
  const [email, setEmail] = useState('');
  const [rights, setRights] = useState<Rights>({ role: 'helper', languages: null, suppliers: null });
  const problem =
    invite.error instanceof CallError ? invite.error.errors[0]?.message : invite.error && wordsOf(invite.error);
  const link = invite.data && linkOf(invite.data.code);
  return (
    <section aria-labelledby="invite">
      <h2 id="invite" className="mb-1 font-display text-lg font-bold">
        Invite somebody
      </h2>
      <form
        className="flex flex-wrap items-start gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          invite.mutate({ email, ...rights }, { onSuccess: () => setEmail(emptied(email)) });
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
        texts in their languages, and nothing else. Makers see their own goods only, and propose changes that you take
        or refuse; for them, keep the supplier first.
      </p>
      {link && (
        <OnceLink
          link={link}
          words={`Send this link to ${invite.data.email}. It works once, for a week, and is not shown again.`}
        />
      )}
    </section>
  );
}

interface LineProps {
  person: People['people'][number];
  isMe: boolean;
  isOwner: boolean;
  showPlaces: () => void;
}

function PersonLine({ person, isMe, isOwner, showPlaces }: LineProps) {
  const { setRole, remove, letChoosePassword } = usePeopleWrites();
  const { id, name, email, role, languages, suppliers, sessions } = person;
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
          rights={{ role, languages, suppliers }}
          change={(rights) => setRole.mutate({ id, ...rights }, { onError: tellRefused })}
        />
      ) : (
        <span className="text-ink-2">{rightsWords({ role, languages, suppliers })}</span>
      )}
      {isMe && <Button onClick={showPlaces}>Where you are signed in</Button>}
      {isOwner && !isMe && (
        <Button
          look="bare"
          aria-label={`Let ${name} choose a new password`}
          disabled={letChoosePassword.isPending}
          onClick={() => letChoosePassword.mutate(id, { onError: tellRefused })}
        >
          New password
        </Button>
      )}
      {isOwner && !isMe && (
        <Button
          look="bare"
          onClick={() =>
            remove.mutate(id, { onSuccess: () => toast(`${name} cannot sign in any more`), onError: tellRefused })
          }
        >
          Remove
        </Button>
      )}
      {letChoosePassword.data && (
        <div className="w-full">
          <OnceLink
            link={linkOf(letChoosePassword.data.code)}
            words={`Send this link to ${name}. With it they choose a new password; until then the old one works. It works once, for a day.`}
          />
        </div>
      )}
    </li>
  );
}

/** Who may sign in at the desk. */
export function PeoplePage() {
  const { data, error, refetch } = usePeople();
  const { data: session } = useSession();
  const { takeBackInvite } = usePeopleWrites();
  const [arePlacesShown, setPlaces] = useState(false);
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
              <PersonLine
                key={person.id}
                person={person}
                isMe={person.id === session?.user?.id}
                isOwner={isOwner}
                showPlaces={() => setPlaces(true)}
              />
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
              {data.invites.map(({ id, email, invitedBy, expires, ...rights }) => (
                <li key={id} className="flex flex-wrap items-center gap-4 border-b border-hair py-2.5 last:border-0">
                  <span className="min-w-0 flex-1">
                    <span className="font-semibold">{email}</span>
                    <span className="block text-ink-2">
                      as {rightsWords(rights)}, by {invitedBy}; the link works for another{' '}
                      {formatDistanceToNow(new Date(expires))}
                    </span>
                  </span>
                  {isOwner && (
                    <Button look="bare" onClick={() => takeBackInvite.mutate(id, { onError: tellRefused })}>
                      Take back
                    </Button>
                  )}
                </li>
              ))}
            </ul>
          </section>
        )}
        {isOwner && <InviteForm />}
        {arePlacesShown && <YourPlaces close={() => setPlaces(false)} />}
      </div>
    </div>
  );
}
