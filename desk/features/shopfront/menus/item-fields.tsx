import type { MenuItem } from '../../../../core/model/menu';
import { useSettings } from '../../../data/shopfront';
import { MomentField } from '../../../shared/ui/moment-field';
import { Button } from '../../../shared/ui/button';
import { Tick } from '../../../shared/ui/tick';
import { LinkField } from '../../../shared/pickers/link-field';
import { PictureField } from '../fields/picture-field';

interface Props {
  item: MenuItem;
  isTop: boolean;
  change: (item: MenuItem) => void;
  writeOut: () => void;
}

/** What else can be said of an item of a menu. */
export function ItemFields({ item, isTop, change, writeOut }: Props) {
  const timeZone = useSettings().data?.timeZone ?? 'UTC';
  return (
    <div className="ml-8 flex flex-col gap-2 rounded-lg border border-hair bg-paper p-2.5">
      <span className="text-ink-2">
        {item.target ? 'Leads to' : 'A heading. To let it lead somewhere, choose where.'}
      </span>
      <LinkField label="Leads to" link={item.target} change={(target) => change({ ...item, target })} />
      {item.target?.kind === 'category' && (
        <div className="flex flex-wrap items-center gap-x-3">
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
      )}
      <Tick label="Hide it from shoppers" checked={item.hidden} change={(hidden) => change({ ...item, hidden })} />
      <div className="flex flex-wrap gap-3">
        <MomentField
          label="Seen from"
          value={item.from}
          timeZone={timeZone}
          change={(from) => change({ ...item, from })}
        />
        <MomentField
          label="Seen until"
          value={item.until}
          timeZone={timeZone}
          change={(until) => change({ ...item, until })}
        />
      </div>
      {isTop && (
        <div className="max-w-60">
          <PictureField
            label="Picture beside what stands below it"
            picture={item.picture}
            change={(picture) => change({ ...item, picture })}
          />
        </div>
      )}
    </div>
  );
}
