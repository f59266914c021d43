import { MAX_STRIP } from '../../../../core/model/sections/strip';
import { Choose } from '../../../shared/ui/choose';
import { TargetChip } from '../target-chip';
import { targetOf, useTargets } from '../targets';
import type { SectionFieldsProps } from './section-fields';
import { SectionTitle } from './section-title';

export function StripFields({ section, errors, change }: SectionFieldsProps<'strip'>) {
  const { choices, nameOf } = useTargets();
  const { source } = section;
  return (
    <>
      <SectionTitle
        section={section}
        errors={errors}
        change={change}
        placeholder={source ? nameOf(source) : 'the name of what it shows'}
        hint={section.title === '' ? 'Follows what the strip shows, until you type a title of your own.' : undefined}
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
          <TargetChip label={nameOf(source)} remove={() => change({ ...section, source: null })} />
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
