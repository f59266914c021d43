import { useSettings } from '../../data/shopfront';
import { MomentField } from '../../shared/ui/moment-field';
import { MeasureField } from '../../shared/ui/measure-field';
import { readWholeOrNone } from '../../shared/ui/readings';
import { Tick } from '../../shared/ui/tick';
import type { CollectionEditor } from './use-group-editor';

function SizeField({ label, name, editor }: { label: string; name: 'fewest' | 'most'; editor: CollectionEditor }) {
  const value = editor.value(name);
  return (
    <MeasureField
      label={label}
      shown={value === null ? '' : String(value)}
      read={readWholeOrNone}
      error={editor.error(name)}
      unsaved={editor.isUnsaved(name)}
      change={(size) => editor.change({ [name]: size })}
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
        checked={editor.value('status') === 'live'}
        change={(isLive) => editor.change({ status: isLive ? 'live' : 'off' })}
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
