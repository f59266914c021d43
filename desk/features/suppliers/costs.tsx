import { useState } from 'react';
import { supplySchema, type Supplier } from '../../../core/model/supplier';
import { plainAmount } from '../../../core/shared/money';
import { useSupplierWrites, type SupplyAnswer } from '../../data/suppliers';
import { Button } from '../../shared/ui/button';
import { Dialog } from '../../shared/ui/dialog';
import { TextField } from '../../shared/ui/field';
import { readAmount } from '../../shared/ui/readings';
import { refusalOf } from '../../data/tell-refused';

interface Line {
  from: string;
  cost: string;
}

interface Props {
  supplier: Supplier;
  supply: SupplyAnswer;
  currency: string;
  close: () => void;
}

/** What a piece costs from which day on, as it was agreed. */
export function Costs({ supplier, supply, currency, close }: Props) {
  const { setSupply } = useSupplierWrites();
  const [lines, setLines] = useState<readonly Line[]>([
    ...supply.costs.map(({ from, cost }) => ({ from, cost: plainAmount(cost) })),
    { from: '', cost: '' },
  ]);
  const [problem, setProblem] = useState<string | null>(null);
  const change = (at: number, fields: Partial<Line>) => {
    const next = lines.map((line, i) => (i === at ? { ...line, ...fields } : line));
    const last = next.at(-1)!;
    setLines(last.from || last.cost ? [...next, { from: '', cost: '' }] : next);
  };
  const name = [supply.title, supply.variant].filter(Boolean).join(', ');
  const keep = () => {
    const costs: { from: string; cost: number }[] = [];
    for (const { from, cost } of lines.filter((line) => line.from || line.cost)) {
      const amount = readAmount(cost);
      if ('problem' in amount) return setProblem(`From ${from || 'that day'}: ${amount.problem}`);
      costs.push({ from, cost: amount.value });
    }
    const read = supplySchema.shape.costs.safeParse(costs);
    if (!read.success) return setProblem(read.error.issues[0]!.message);
    setProblem(null);
    setSupply.mutate(
      { id: supplier.id, variant: supply.variantId, number: supply.number, costs: read.data },
      { onSuccess: close },
    );
  };
  const refused = setSupply.error && refusalOf(setSupply.error);
  return (
    <Dialog title={`Costs of ${name} at ${supplier.name}`} isOpen close={close} isForm>
      <form
        noValidate
        className="flex flex-col gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          keep();
        }}
      >
        <p className="text-ink-2">
          {supply.isMain
            ? 'On its day each cost becomes the cost of the product by itself, and margins follow.'
            : 'They count when you order here; margins follow those of the supplier you order from as a rule.'}
        </p>
        {lines.map((line, i) => (
          <div key={i} className="flex items-end gap-2">
            <TextField
              label={`From day, line ${i + 1}`}
              hideLabel
              type="date"
              value={line.from}
              onChange={({ target }) => change(i, { from: target.value })}
              className="!w-40"
            />
            <TextField
              label={`Cost, line ${i + 1}`}
              hideLabel
              inputMode="decimal"
              placeholder={`cost, ${currency}`}
              value={line.cost}
              onChange={({ target }) => change(i, { cost: target.value })}
              className="!w-32"
            />
            {(line.from || line.cost) && (
              <Button
                look="bare"
                aria-label={`Drop line ${i + 1}`}
                onClick={() => setLines(lines.filter((_, at) => at !== i))}
              >
                Drop
              </Button>
            )}
          </div>
        ))}
        {(problem ?? refused) && (
          <p role="alert" className="text-rose-ink">
            {problem ?? refused}
          </p>
        )}
        <div className="mt-3 flex justify-end gap-2">
          <Button onClick={close}>Leave it</Button>
          <Button look="main" type="submit" disabled={setSupply.isPending}>
            Keep them
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
