import { Choose } from '../../../shared/ui/choose';
import { TargetChip } from '../target-chip';
import { targetOf, useTargets } from '../targets';
import type { SectionFieldsProps } from './section-fields';
import { SectionTitle } from './section-title';

export function TilesFields({ section, errors, change }: SectionFieldsProps<'tiles'>) {
  const { choices, nameOf } = useTargets();
  const { categoryIds } = section;
  return (
    <>
      <SectionTitle section={section} errors={errors} change={change} />
      <div className="flex flex-wrap items-center gap-2">
        {categoryIds.map((id) => (
          <TargetChip
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
