import { ChooseTarget } from '../../../shared/pickers/choose-target';
import { TargetName } from '../../../shared/pickers/target-words';
import type { SectionFieldsProps } from './section-fields';
import { SectionTitle } from './section-title';

const groupKinds = ['collection', 'category', 'brand', 'tag'] as const;

export function ListingFields({ section, errors, change }: SectionFieldsProps<'listing'>) {
  return (
    <>
      <SectionTitle section={section} errors={errors} change={change} placeholder="the name of what it lists" />
      {section.of ? (
        <TargetName to={section.of} remove={() => change({ ...section, of: null })} />
      ) : (
        <>
          <ChooseTarget
            label="Choose whose goods"
            kinds={groupKinds}
            choose={({ kind, id }) => {
              const wanted = groupKinds.find((each) => each === kind);
              if (wanted) change({ ...section, of: { kind: wanted, id } });
            }}
          />
          <p className="text-xs text-ink-2">Until then it lists everything in the shop.</p>
        </>
      )}
      {errors.of && (
        <p role="alert" className="text-rose-ink">
          {errors.of}
        </p>
      )}
    </>
  );
}
