import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import type { Settings } from '../../../../core/model/settings';
import { contactSchema, contactWords, type Contact } from '../../../../core/model/shop-contact';
import { useField } from '../../../shared/autosave/use-autosave';
import { Button } from '../../../shared/ui/button';
import { TextField } from '../../../shared/ui/field';
import { SchemaField } from '../../../shared/ui/schema-field';
import { SheetPart, SaveSheet } from '../../../shared/ui/save-sheet';
import { problemsOf } from '../design/problems-of';
import { useSettingsSave } from '../../../shared/autosave/settings-save';

type Line = Exclude<keyof Contact, 'social'>;

const hints: Partial<Record<Line, string>> = {
  company: 'as it is registered, or your own name',
  senderName: 'without it, the name of the shop',
  senderMail: 'without it, the mail above. Mails are simulated: they are kept under Orders.',
};

const MOST_LINKS = 8;
const linkSchema = contactSchema.shape.social.element;

/** A page of the shop elsewhere; added once both its fields are right. */
function NewLink({ add }: { add: (link: Contact['social'][number]) => void }) {
  const [link, setLink] = useState({ name: '', url: '' });
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});
  return (
    <form
      className="flex flex-wrap items-start gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        const found = problemsOf(linkSchema, link);
        setProblems(found);
        if (Object.keys(found).length > 0) return;
        add(linkSchema.parse(link));
        setLink({ name: '', url: '' });
      }}
    >
      <div className="w-44">
        <TextField
          label="What a new link is called"
          hideLabel
          placeholder="Our photos"
          value={link.name}
          error={problems.name}
          onChange={({ target }) => setLink({ ...link, name: target.value })}
        />
      </div>
      <div className="w-72">
        <TextField
          label="Address of a new link"
          hideLabel
          placeholder="https://"
          value={link.url}
          error={problems.url}
          onChange={({ target }) => setLink({ ...link, url: target.value })}
        />
      </div>
      <Button type="submit" disabled={link.name === '' && link.url === ''}>
        <Plus size={13} aria-hidden="true" /> Add the link
      </Button>
    </form>
  );
}

/** Who stands behind the shop: for legal pages, mails and the foot of each page. */
export function ContactPage({ settings }: { settings: Settings }) {
  const save = useSettingsSave(settings);
  const { value: contact, change, error } = useField<Contact>(save, 'contact');
  const set = (over: Partial<Contact>) => change({ ...contact, ...over });
  const line = (key: Line, className = '') => (
    <div className={className}>
      <SchemaField
        label={contactWords[key]}
        hint={hints[key]}
        schema={contactSchema.shape[key]}
        value={contact[key]}
        change={(next: string) => set({ [key]: next })}
      />
    </div>
  );
  return (
    <SaveSheet save={save} error={error}>
      <SheetPart title="Who you are" about="The legal pages are filled with this.">
        <div className="grid gap-3 sm:grid-cols-2">
          {line('company')}
          {line('person')}
          {line('street', 'sm:col-span-2')}
          {line('postcode')}
          {line('city')}
          {line('country')}
          <span className="max-sm:hidden" />
          {line('registration')}
          {line('taxNumber')}
        </div>
      </SheetPart>
      <SheetPart title="How you are reached">
        <div className="grid gap-3 sm:grid-cols-2">
          {line('mail')}
          {line('phone')}
        </div>
        <div>
          <span className="mb-1 block font-semibold">{contactWords.social}</span>
          <ul className="mb-2 flex flex-col gap-1">
            {contact.social.map(({ name, url }, i) => (
              <li key={url} className="flex items-center gap-2">
                <span className="font-semibold">{name}</span>
                <span className="min-w-0 truncate text-ink-2">{url}</span>
                <button
                  type="button"
                  aria-label={`Remove ${name}`}
                  onClick={() => set({ social: contact.social.filter((_, at) => at !== i) })}
                  className="rounded p-1 text-ink-2 hover:text-rose"
                >
                  <X size={14} aria-hidden="true" />
                </button>
              </li>
            ))}
          </ul>
          {contact.social.length < MOST_LINKS && <NewLink add={(link) => set({ social: [...contact.social, link] })} />}
        </div>
      </SheetPart>
      <SheetPart title="Mails to shoppers">
        <div className="grid gap-3 sm:grid-cols-2">
          {line('senderName')}
          {line('senderMail')}
        </div>
      </SheetPart>
    </SaveSheet>
  );
}
