import { Choose } from '../../../shared/ui/choose';
import { TextArea } from '../../../shared/ui/field';
import { TargetChip } from '../target-chip';
import { targetOf, useTargets } from '../targets';
import type { SectionFieldsProps } from './section-fields';
import { SectionTitle } from './section-title';

export function BannerFields({ section, errors, change }: SectionFieldsProps<'banner'>) {
  const { choices, nameOf } = useTargets();
  return (
    <>
      <SectionTitle section={section} errors={errors} change={change} />
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
          <TargetChip label={nameOf(section.link)} remove={() => change({ ...section, link: null })} />
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
