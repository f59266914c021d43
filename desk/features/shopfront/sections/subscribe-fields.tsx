import { useSubscribers } from '../../../data/shopfront';
import { Button } from '../../../shared/ui/button';
import { TextArea, TextField } from '../../../shared/ui/field';
import { saveCsv } from '../../../shared/ui/save-csv';
import type { SectionFieldsProps } from './section-fields';
import { SectionTitle } from './section-title';

export function SubscribeFields({ section, errors, change }: SectionFieldsProps<'subscribe'>) {
  const { data } = useSubscribers(true);
  const items = data?.items ?? [];
  const download = () =>
    saveCsv('subscribers.csv', [
      ['Mail address', 'When', 'Page'],
      ...items.map(({ email, at, page }) => [email, at, page]),
    ]);
  return (
    <>
      <SectionTitle section={section} errors={errors} change={change} />
      <TextArea
        label="Words"
        rows={2}
        value={section.text}
        error={errors.text}
        onChange={(event) => change({ ...section, text: event.target.value })}
      />
      <TextField
        label="Button"
        value={section.button}
        error={errors.button}
        onChange={(event) => change({ ...section, button: event.target.value })}
      />
      <TextField
        label="Said afterwards"
        value={section.thanks}
        error={errors.thanks}
        onChange={(event) => change({ ...section, thanks: event.target.value })}
      />
      <div className="rounded-[10px] border border-hair bg-sheet p-2.5">
        <p>
          {items.length === 0
            ? 'Nobody has signed up yet.'
            : items.length === 1
              ? 'One person has signed up.'
              : `${items.length} people have signed up.`}
        </p>
        <p className="text-xs text-ink-2">No mail is sent from here: take the list to whatever you send mail with.</p>
        {items.length > 0 && (
          <Button className="mt-2" onClick={download}>
            Download the list
          </Button>
        )}
      </div>
    </>
  );
}
