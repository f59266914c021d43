import { toast } from 'sonner';
import { routes } from '../../../../contract';
import type { ProductAnswer } from '../../../../contract/product';
import { relationKinds, type Relation, type RelationKind } from '../../../../core/model/product-values';
import { EMPTY_RULE } from '../../../../core/model/rule';
import { call } from '../../../data/api';
import { RuleField } from '../../../shared/rules/rule-field';
import type { Autosave } from '../../../shared/autosave/autosave';
import { Select } from '../../../shared/ui/select';
import { PickedProducts } from '../picked-products';
import { useProductField } from './use-product-autosave';
import { Part } from './part';
import { tellRefused } from '../../../data/tell-refused';

const kindWords: Record<RelationKind, { title: string; hint: string }> = {
  goesWith: { title: 'Goes with', hint: 'what one needs or likes beside it' },
  stepUp: { title: 'Step up', hint: 'the better or larger one' },
  similar: { title: 'Similar', hint: 'what one might choose instead' },
};

const howWords: Record<Relation['how'], string> = {
  none: 'nothing',
  picked: 'picked by hand',
  rule: 'filled by rule',
  sameCategory: 'others of the main category',
};

interface RowProps {
  kind: RelationKind;
  answer: ProductAnswer;
  save: Autosave;
}

function RelationRow({ kind, answer, save }: RowProps) {
  const { product, related } = answer;
  const { value: relation, error, change } = useProductField(save, kind);
  const bothWays = (id: string, title: string) => {
    call(routes.goods.relateBack, { params: { id: product.id }, body: { kind, to: id } })
      .then(() => toast(`${title} now leads back here.`))
      .catch(tellRefused);
  };
  const choose = (how: Relation['how']) => {
    if (how === 'picked') change({ how, ids: [] });
    else if (how === 'rule') change({ how, rule: EMPTY_RULE });
    else change({ how });
  };
  return (
    <>
      <div className="pt-1">
        <span className="block font-semibold">{kindWords[kind].title}</span>
        <span className="block text-xs text-ink-2">{kindWords[kind].hint}</span>
      </div>
      <div className="flex flex-wrap items-center gap-2">
        <Select
          label={kindWords[kind].title}
          value={relation.how}
          choices={Object.entries(howWords).map(([value, label]) => ({ value, label }))}
          choose={(how) => choose(how as Relation['how'])}
        />
        {relation.how === 'picked' && (
          <PickedProducts
            ids={relation.ids}
            known={related}
            without={[product.id]}
            change={(ids) => change({ how: 'picked', ids })}
            note={(id, title) => (
              <button type="button" className="text-xs text-petrol hover:underline" onClick={() => bothWays(id, title)}>
                and back
              </button>
            )}
          />
        )}
        {relation.how === 'rule' && (
          <div className="w-full rounded-[10px] border border-hair p-3">
            <RuleField rule={relation.rule} change={(rule) => change({ how: 'rule', rule })} error={error} />
          </div>
        )}
        {error && relation.how !== 'rule' && (
          <p role="alert" className="w-full text-rose-ink">
            {error}
          </p>
        )}
      </div>
    </>
  );
}

export function GoesWith({ answer, save }: { answer: ProductAnswer; save: Autosave }) {
  return (
    <Part id="goes-with" title="Goes with" hint="strips of goods below this product">
      <div className="grid grid-cols-[9rem_1fr] items-start gap-x-3 gap-y-3 max-md:grid-cols-1">
        {relationKinds.map((kind) => (
          <RelationRow key={kind} kind={kind} answer={answer} save={save} />
        ))}
      </div>
    </Part>
  );
}
