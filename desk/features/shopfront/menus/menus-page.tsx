import { Plus } from 'lucide-react';
import { useState } from 'react';
import { allItems, type Menu, type MenuItem, type MenuName } from '../../../../core/model/menu';
import type { Target } from '../../../../core/model/target';
import { useGroups } from '../../../data/groups';
import { useMenu, usePages, useShopfrontWrites } from '../../../data/shopfront';
import { Button } from '../../../shared/ui/button';
import { freshItem, MenuList } from './menu-list';
import { refusalOf } from '../../../data/tell-refused';

const SHOWN = 24;
const keyOf = ({ kind, id }: Target) => `${kind}:${id}`;

/** What shoppers cannot come to from any menu: categories, collections and pages of the shop. */
function useInNoMenu(menu: Menu): { to: Target; name: string }[] {
  const { data: groups } = useGroups();
  const { data: pages } = usePages();
  const named = new Set<string>();
  for (const item of allItems(menu)) {
    if (!item.target || item.target.kind === 'address') continue;
    named.add(keyOf(item.target));
    // What is kept in step with the tree stands in the menu too.
    const below = (parent: string): void => {
      for (const { id, parentId } of groups?.categories ?? [])
        if (parentId === parent) {
          named.add(`category:${id}`);
          below(id);
        }
    };
    if (item.withChildren && item.target.kind === 'category') below(item.target.id);
  }
  const all = [
    ...(groups?.categories ?? []).map(({ id, name }) => ({ to: { kind: 'category' as const, id }, name })),
    ...(groups?.shelves ?? []).map(({ id, name }) => ({ to: { kind: 'collection' as const, id }, name })),
    ...(pages?.pages ?? [])
      .filter(({ home, standsOn }) => !home && standsOn.length === 0)
      .map(({ id, title }) => ({ to: { kind: 'page' as const, id }, name: title })),
  ];
  return all.filter(({ to }) => !named.has(keyOf(to)));
}

/** The menus of the shop, and what stands in none of them. */
export function MenusPage({ menu: loaded }: { menu: Menu }) {
  // Read here too, so that what was saved is there in the same drawing in which its draft goes.
  const menu = useMenu().data ?? loaded;
  const { setMenu } = useShopfrontWrites();
  const [draft, setDraft] = useState<Partial<Menu>>({});
  const now: Menu = { ...menu, ...draft };
  const missing = useInNoMenu(now);
  const save = (name: MenuName) => (items: MenuItem[]) => {
    setDraft((before) => ({ ...before, [name]: items }));
    setMenu.mutateAsync({ [name]: items, was: { [name]: now[name] } }).then(
      () =>
        setDraft((before) => {
          const { [name]: sent, ...rest } = before;
          return sent === items ? rest : before;
        }),
      // Why it was refused stands below the list, which still shows what was wanted.
      () => undefined,
    );
  };
  const { error, variables } = setMenu;
  const errorOf = (name: MenuName) => (error && variables && name in variables ? refusalOf(error) : undefined);
  return (
    <div className="flex flex-wrap items-start gap-4">
      <MenuList
        title="The menu"
        hint="It is empty, so shoppers find goods only by search and by what pages lead to."
        items={now.items}
        error={errorOf('items')}
        save={save('items')}
      />
      <div className="flex flex-col gap-4">
        <MenuList
          title="The foot of the shop"
          hint="It is empty, so the menu stands there once more. Add headings, and what belongs below each."
          items={now.footer}
          error={errorOf('footer')}
          save={save('footer')}
        />
        <MenuList
          title="The line above the head"
          hint="It is empty, so there is no such line. A few links in small letters: contact, delivery, questions."
          items={now.top}
          error={errorOf('top')}
          save={save('top')}
        />
      </div>
      <section aria-label="In no menu" className="sheet w-[14.5rem] max-w-full self-start p-3">
        <h2 className="mb-1 font-display text-[15px] font-bold">In no menu</h2>
        {missing.length === 0 ? (
          <p className="text-ink-2">Every category, collection and page stands in a menu.</p>
        ) : (
          <ul>
            {missing.slice(0, SHOWN).map(({ to, name }) => (
              <li key={keyOf(to)} className="flex items-center gap-2 border-b border-hair py-1">
                <span className="min-w-0 flex-1 truncate">{name}</span>
                <span className="text-xs text-ink-2">{to.kind}</span>
                <Button
                  look="bare"
                  aria-label={`Add ${name} to the menu`}
                  onClick={() => save('items')([...now.items, freshItem(to)])}
                >
                  <Plus size={13} aria-hidden="true" />
                </Button>
              </li>
            ))}
            {missing.length > SHOWN && <li className="pt-1 text-ink-2">and {missing.length - SHOWN} more</li>}
          </ul>
        )}
      </section>
    </div>
  );
}
