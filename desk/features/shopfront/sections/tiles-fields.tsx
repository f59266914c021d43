import type { Target } from '../../../../core/model/target';
import { SortableRows } from '../../../shared/ui/sortable-rows';
import { Tick } from '../../../shared/ui/tick';
import { ChoiceRow } from '../fields/choice-row';
import { ChooseTarget } from '../../../shared/pickers/choose-target';
import { TargetName } from '../../../shared/pickers/target-words';
import type { SectionFieldsProps } from './section-fields';
import { SectionTitle } from './section-title';

const keyOf = ({ kind, id }: Target) => `${kind}:${id}`;

export function TilesFields({ section, errors, change }: SectionFieldsProps<'tiles'>) {
  const { targets, childrenOf } = section;
  const isKept = childrenOf !== null;
  return (
    <>
      <SectionTitle section={section} errors={errors} change={change} />
      {isKept ? (
        <div className="flex flex-wrap items-center gap-1.5">
          <span className="text-ink-2">All below</span>
          <TargetName
            to={{ kind: 'category', id: childrenOf }}
            remove={() => change({ ...section, childrenOf: null })}
          />
          <span className="text-xs text-ink-2">kept in step with the tree</span>
        </div>
      ) : (
        <>
          <SortableRows
            items={targets}
            keyOf={keyOf}
            reorder={(next) => change({ ...section, targets: next })}
            className="flex flex-col gap-1"
            draw={(to, grip) => (
              <div className="flex items-center gap-1">
                {grip}
                <TargetName
                  to={to}
                  remove={() => change({ ...section, targets: targets.filter((each) => each !== to) })}
                />
              </div>
            )}
          />
          <ChooseTarget
            label="Add a group, a page or a product"
            choose={(to) =>
              !targets.some((each) => keyOf(each) === keyOf(to)) && change({ ...section, targets: [...targets, to] })
            }
          />
          <ChooseTarget
            label="or all below a category"
            kinds={['category']}
            choose={({ id }) => change({ ...section, childrenOf: id, targets: [] })}
          />
        </>
      )}
      {errors.childrenOf && (
        <p role="alert" className="text-rose-ink">
          {errors.childrenOf}
        </p>
      )}
      <ChoiceRow
        label="Shape"
        value={section.shape}
        choices={(['landscape', 'square', 'portrait', 'round'] as const).map((value) => ({ value, label: value }))}
        choose={(shape) => change({ ...section, shape })}
      />
      <ChoiceRow
        label="Tiles in a row"
        value={section.columns}
        choices={[2, 3, 4, 5, 6].map((value) => ({ value, label: value }))}
        choose={(columns) => change({ ...section, columns })}
      />
      <Tick
        label="Say how many goods there are"
        checked={section.counts}
        change={(counts) => change({ ...section, counts })}
      />
    </>
  );
}
