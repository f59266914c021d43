import { useSettings } from '../shopfront/queries';
import { MomentField } from '../ui/moment-field';
import { TextField } from '../ui/field';
import { Tick } from '../ui/tick';
import type { CollectionEditor } from './use-group-editor';

/** Reads a size as it is typed: nothing is no limit. What is no number goes to the server as it is, which says so. */
const sizeOf = (typed: string) => (typed.trim() === '' ? null : Number(typed.trim()));

function SizeField({ label, name, editor }: { label: string; name: 'fewest' | 'most'; editor: CollectionEditor }) {
  const value = editor.value(name);
  return (
    <TextField
      label={label}
      inputMode="numeric"
      value={value === null || Number.isNaN(value) ? '' : String(value)}
      error={editor.error(name)}
      unsaved={editor.isUnsaved(name)}
      onChange={(event) => editor.change({ [name]: sizeOf(event.target.value) })}
    />
  );
}

/** Whether and when a collection is on the shop, and sizes beyond which it warns. */
export function CollectionTerms({ editor }: { editor: CollectionEditor }) {
  const { data: settings } = useSettings();
  const moment = (name: 'liveFrom' | 'liveUntil', label: string) => (
    <MomentField
      label={label}
      value={editor.value(name)}
      timeZone={settings?.timeZone ?? 'UTC'}
      error={editor.error(name)}
      unsaved={editor.isUnsaved(name)}
      change={(at) => editor.change({ [name]: at })}
    />
  );
  return (
    <>
      <Tick
        label="On the shop"
        checked={editor.value('standing') === 'live'}
        change={(isLive) => editor.change({ standing: isLive ? 'live' : 'off' })}
      />
      <div className="flex flex-wrap gap-3">
        {moment('liveFrom', 'From')}
        {moment('liveUntil', 'Until')}
      </div>
      <div className="grid grid-cols-2 gap-3">
        <SizeField label="Warn below" name="fewest" editor={editor} />
        <SizeField label="Warn above" name="most" editor={editor} />
      </div>
    </>
  );
}
