import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import type { AnswerOf } from '../../../contract/route';
import type { shopfrontRoutes } from '../../../contract/shopfront';
import { MAX_STRIP } from '../../../core/model/page';
import { Choose } from '../../shared/ui/choose';
import { TextArea, TextField } from '../../shared/ui/field';
import { Thumb } from '../../shared/ui/thumb';
import type { WantedSection } from '../../data/shopfront';
import { targetOf, useTargets } from './targets';

type Note = AnswerOf<typeof shopfrontRoutes.pages>['notes'][number];

interface Props {
  section: WantedSection;
  note?: Note;
  grip: ReactNode;
  /** in words, by field of the section */
  errors: Record<string, string>;
  change: (section: WantedSection) => void;
  remove: () => void;
}

const kinds = { banner: 'Banner', strip: 'Strip of goods', tiles: 'Category tiles' };

function Chip({ label, remove }: { label: string | undefined; remove: () => void }) {
  return (
    <span
      className={`flex items-center gap-1.5 rounded-lg border py-1 pl-2.5 pr-1 ${label ? 'border-line bg-sheet' : 'border-rose bg-rose-soft text-rose-ink'}`}
    >
      {label ?? 'deleted'}
      <button
        type="button"
        aria-label={`Remove ${label ?? 'what was deleted'}`}
        onClick={remove}
        className="rounded p-0.5 hover:text-rose"
      >
        <X size={12} aria-hidden="true" />
      </button>
    </span>
  );
}

function BannerFields({
  section,
  errors,
  change,
}: Pick<Props, 'errors' | 'change'> & { section: Extract<WantedSection, { kind: 'banner' }> }) {
  const { choices, nameOf } = useTargets();
  return (
    <>
      <TextField
        label="Title"
        value={section.title}
        error={errors.title}
        onChange={(event) => change({ ...section, title: event.target.value })}
      />
      <TextArea
        label="Text"
        rows={2}
        value={section.text}
        error={errors.text}
        onChange={(event) => change({ ...section, text: event.target.value })}
      />
      <div className="flex items-center gap-2">
        <span className="font-semibold">Leads to</span>
        {section.link ? (
          <Chip label={nameOf(section.link)} remove={() => change({ ...section, link: null })} />
        ) : (
          <Choose
            label="Choose where it leads"
            choices={choices}
            choose={(key) => change({ ...section, link: targetOf(key) })}
          />
        )}
      </div>
    </>
  );
}

function StripFields({
  section,
  errors,
  change,
}: Pick<Props, 'errors' | 'change'> & { section: Extract<WantedSection, { kind: 'strip' }> }) {
  const { choices, nameOf } = useTargets();
  const { source } = section;
  return (
    <>
      <TextField
        label="Title"
        placeholder={source ? nameOf(source) : 'the name of what it shows'}
        hint={section.title === '' ? 'Follows what the strip shows, until you type a title of your own.' : undefined}
        value={section.title}
        error={errors.title}
        onChange={(event) => change({ ...section, title: event.target.value })}
      />
      <div className="flex flex-wrap items-center gap-2">
        <span className="font-semibold">Shows</span>
        <input
          type="number"
          min={1}
          max={MAX_STRIP}
          aria-label="How many goods"
          value={Number.isNaN(section.count) ? '' : section.count}
          onChange={(event) => change({ ...section, count: event.target.valueAsNumber })}
          className="field !w-16"
        />
        <span className="text-ink-2">of</span>
        {source ? (
          <Chip label={nameOf(source)} remove={() => change({ ...section, source: null })} />
        ) : (
          <Choose
            label="Choose a collection or category"
            className="w-60"
            choices={choices.filter(({ value }) => !value.startsWith('page:'))}
            choose={(key) => {
              const target = targetOf(key);
              if (target.kind !== 'page') change({ ...section, source: { kind: target.kind, id: target.id } });
            }}
          />
        )}
      </div>
      {(errors.count ?? errors.source) && (
        <p role="alert" className="text-rose-ink">
          {errors.count ?? errors.source}
        </p>
      )}
    </>
  );
}

function TileFields({
  section,
  errors,
  change,
}: Pick<Props, 'errors' | 'change'> & { section: Extract<WantedSection, { kind: 'tiles' }> }) {
  const { choices, nameOf } = useTargets();
  const { categoryIds } = section;
  return (
    <>
      <TextField
        label="Title"
        value={section.title}
        error={errors.title}
        onChange={(event) => change({ ...section, title: event.target.value })}
      />
      <div className="flex flex-wrap items-center gap-2">
        {categoryIds.map((id) => (
          <Chip
            key={id}
            label={nameOf({ kind: 'category', id })}
            remove={() => change({ ...section, categoryIds: categoryIds.filter((each) => each !== id) })}
          />
        ))}
        <Choose
          label="Add a category"
          choices={choices.filter(
            ({ value }) => value.startsWith('category:') && !categoryIds.includes(value.slice(9)),
          )}
          choose={(key) => change({ ...section, categoryIds: [...categoryIds, targetOf(key).id] })}
        />
      </div>
    </>
  );
}

/** One section of a page: what it says, where its goods come from, and what it shows now. */
export function SectionCard({ section, note, grip, errors, change, remove }: Props) {
  return (
    <article className="sheet flex gap-2 p-3" aria-label={`${kinds[section.kind]} ${section.title}`}>
      {grip}
      <div className="flex min-w-0 flex-1 flex-col gap-2.5">
        <div className="flex items-center justify-between">
          <h3 className="text-xs font-semibold text-ink-2">{kinds[section.kind]}</h3>
          <button type="button" onClick={remove} className="text-xs text-ink-2 hover:text-rose hover:underline">
            remove
          </button>
        </div>
        {section.kind === 'banner' && <BannerFields section={section} errors={errors} change={change} />}
        {section.kind === 'strip' && <StripFields section={section} errors={errors} change={change} />}
        {section.kind === 'tiles' && <TileFields section={section} errors={errors} change={change} />}
        {note && note.thumbnails.length > 0 && (
          <div className="flex items-center gap-1.5 overflow-hidden">
            {note.thumbnails.map((thumbnail, i) => (
              <Thumb key={`${thumbnail} ${i}`} src={thumbnail} className="size-10" />
            ))}
            {note.available > note.shown && <span className="pl-1 text-ink-2">of {note.available}</span>}
          </div>
        )}
        {note?.warnings.map((warning) => (
          <p key={warning} className="text-rose-ink">
            {warning}
          </p>
        ))}
      </div>
    </article>
  );
}
