def sub(p,*pairs):
    s=open(p).read()
    for a,b in pairs:
        assert a in s,(p,a)
        s=s.replace(a,b,1)
    open(p,'w').write(s)
sub('desk/features/goods/product/belongs.tsx',("export function Belongs({ productId, save }: { productId: string; save: Autosave }) {\n  const { data } = useGroups();\n","export function Belongs({ productId, save }: { productId: string; save: Autosave }) {\n  const { data } = useGroups();\n  const notMet = useNotMet();\n"))
sub('desk/features/groups/category-page.tsx',("function Actions({ row }: { row: CategoryRow }) {\n  const { data } = useGroups();\n","function Actions({ row }: { row: CategoryRow }) {\n  const { data } = useGroups();\n  const notMet = useNotMet();\n"))
sub('desk/features/groups/delete-category.tsx',("  const [other, setOther]","  const notMet = useNotMet();\n  const [other, setOther]"))
sub('desk/app/frame/add-to-group.tsx',("  const { data } = useGroups(isOpen);\n","  const { data } = useGroups(isOpen);\n  const notMet = useNotMet();\n"),("              <span className=\"text-ink-2\">{row.what}</span>","              <span className=\"text-ink-2\">{[row.what, notMet(row.what, row.id)].filter(Boolean).join(', ')}</span>"))
import re
for p,d in [('desk/features/goods/product/belongs.tsx','../../../'),('desk/features/groups/category-page.tsx','../../'),('desk/features/groups/delete-category.tsx','../../'),('desk/app/frame/add-to-group.tsx','../../')]:
    s=open(p).read()
    m=re.search(r"import .* from '"+re.escape(d)+r"data/groups';\n",s)
    if "useNotMet } from" not in s:
        s=s.replace(m.group(0),m.group(0)+"import { useNotMet } from '%sdata/shopfront';\n"%d)
    open(p,'w').write(s)
sub('desk/features/shopfront/menus/menu-list.tsx',("                remove={() => save(without","                writeOut={() => save(writtenOut(items, item.id, childrenOf, () => newId('m')))}\n                remove={() => save(without"),("  const put = (next","  const { data: groups } = useGroups();\n  const childrenOf = (categoryId: string) =>\n    (groups?.categories ?? []).filter(({ parentId }) => parentId === categoryId).map(({ id }) => id);\n  const put = (next"),("import { flatItems, movedItem, usualItem, type MenuItem }","import { flatItems, movedItem, usualItem, writtenOut, type MenuItem }"),("import { newId }","import { useGroups } from '../../../data/groups';\nimport { newId }"))
sub('desk/features/shopfront/menus/menu-row.tsx',("  change: (item: MenuItem) => void;\n","  change: (item: MenuItem) => void;\n  /** its subcategories become items of their own */\n  writeOut: () => void;\n"),("export function MenuRow({ item, level, change, ","export function MenuRow({ item, level, change, writeOut, "))
s=open('desk/features/shopfront/menus/menu-row.tsx').read()
s=re.sub(r"<ItemFields ([^>]*)/>",r"<ItemFields \1writeOut={writeOut} />",s)
open('desk/features/shopfront/menus/menu-row.tsx','w').write(s)
sub('desk/features/shopfront/menus/item-fields.tsx',("  change: (item: MenuItem) => void;\n}","  change: (item: MenuItem) => void;\n  writeOut: () => void;\n}"),("{ item, isTop, change }","{ item, isTop, change, writeOut }"),("""        <Tick
          label="All its subcategories below it, kept in step with the tree"
          checked={item.withChildren}
          change={(withChildren) => change({ ...item, withChildren })}
        />
""","""        <div className="flex flex-wrap items-center gap-x-3">
          <Tick
            label="All its subcategories below it, kept in step with the tree"
            checked={item.withChildren}
            change={(withChildren) => change({ ...item, withChildren })}
          />
          {item.withChildren && (
            <Button look="bare" title="Then they can be renamed, moved and left out one by one" onClick={writeOut}>
              Write them out
            </Button>
          )}
        </div>
"""),("import { Tick }","import { Button } from '../../../shared/ui/button';\nimport { Tick }"))
