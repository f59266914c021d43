import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { routes } from '../../../../contract';
import { addNode } from '../../../../core/rules/narrow';
import type { Rule } from '../../../../core/model/rule';
import { asksWhereGoodsStand } from '../../../../core/rules/placed-fields';
import { call } from '../../../data/api';
import { Button } from '../../../shared/ui/button';
import { Dialog } from '../../../shared/ui/dialog';
import { TextField } from '../../../shared/ui/field';
import { useViewWrites } from '../../../data/goods';
import type { Narrowing } from './use-narrowing';
import { refusalOf } from '../../../data/tell-refused';
import { useOneAtATime } from '../../../shared/ui/use-one-at-a-time';

type Kind = 'view' | 'collection';

/** A rule alone: words that were searched for are asked of the title, since a collection does not search. */
const withWords = ({ text, rule }: { text: string; rule: Rule }): Rule =>
  text === '' ? rule : addNode(rule, { field: 'title', is: 'contains', value: text.slice(0, 200) });

function Name({
  kind,
  narrowing,
  total,
  close,
}: {
  kind: Kind;
  narrowing: Narrowing;
  total: number;
  close: () => void;
}) {
  const [name, setName] = useState('');
  const [error, setError] = useState<string>();
  const { add } = useViewWrites();
  const navigate = useNavigate();
  const { asked, sort } = narrowing;
  const keepIt = async () => {
    if (kind === 'view') {
      await add.mutateAsync({ name, ...asked, sort });
      toast(`Kept as the view “${name.trim()}”`);
    } else {
      const rule = withWords(asked);
      const shelf = await call(routes.groups.createCollection, { body: { name, source: 'rule', rule } });
      toast(`Collection “${shelf.name}” made, filled by this rule`);
      void navigate(`/groups/${shelf.id}`);
    }
    close();
  };
  const [keep, isKeeping] = useOneAtATime(() => keepIt().catch((problem: unknown) => setError(refusalOf(problem))));
  const places = kind === 'collection' && asksWhereGoodsStand(asked.rule);
  return (
    <Dialog title={kind === 'view' ? 'Keep as a view' : 'Keep as a collection'} isOpen close={close}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          keep();
        }}
      >
        <TextField
          label="Name"
          value={name}
          autoFocus
          error={
            places
              ? 'A collection cannot be filled by where goods show or how often they are seen, since it shows them itself. Take that condition away, or pick these goods by hand.'
              : error
          }
          onChange={(event) => setName(event.target.value)}
        />
        <p className="mt-2 text-ink-2">
          {kind === 'view'
            ? `Finds these ${total} again, and whatever else matches by then.`
            : `Takes in whatever matches, ${total} now. Only goods that are on the shop show in it.`}
          {kind === 'collection' && asked.text !== '' && ` The words “${asked.text}” are asked of the title.`}
        </p>
        <Button type="submit" look="main" className="mt-4" disabled={name.trim() === '' || places || isKeeping}>
          Keep
        </Button>
      </form>
    </Dialog>
  );
}

/** Keeps what narrows the goods: to be found again, or as a collection that it fills. */
export function KeepAs({ narrowing, total }: { narrowing: Narrowing; total: number }) {
  const [kind, setKind] = useState<Kind>();
  const item = 'block w-full rounded-md px-2.5 py-1.5 text-left data-focus:bg-marigold-soft';
  return (
    <>
      <Menu>
        <MenuButton className="whitespace-nowrap rounded-lg px-2 py-1 font-medium text-petrol-ink hover:bg-sunk">
          Keep as …
        </MenuButton>
        <MenuItems modal={false} anchor={{ to: 'bottom end', gap: 6 }} className="sheet z-50 w-64 p-1 shadow-lg">
          <MenuItem>
            <button type="button" className={item} onClick={() => setKind('view')}>
              <strong>View</strong>
              <span className="block text-xs text-ink-2">to find these goods again</span>
            </button>
          </MenuItem>
          <MenuItem>
            <button type="button" className={item} onClick={() => setKind('collection')}>
              <strong>Collection filled by this rule</strong>
              <span className="block text-xs text-ink-2">to show them to shoppers</span>
            </button>
          </MenuItem>
        </MenuItems>
      </Menu>
      {kind && <Name kind={kind} narrowing={narrowing} total={total} close={() => setKind(undefined)} />}
    </>
  );
}
