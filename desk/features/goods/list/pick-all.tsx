import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import { routes } from '../../../../contract';
import type { Rule } from '../../../../core/model/rule';
import { call } from '../../../data/api';
import { tray } from '../../../shared/tray-store';
import { count } from '../../../shared/ui/count';
import { tellRefused } from '../../../data/tell-refused';

interface Props {
  asked: { text: string; rule: Rule };
  total: number;
  sentence: string;
}

/** Puts all goods that match into the tray: these, or whichever match from now on. */
export function PickAll({ asked, total, sentence }: Props) {
  if (total === 0) return null;
  const freeze = () =>
    call(routes.goods.matching, { body: asked })
      .then(({ ids }) => tray.add(ids))
      .catch(tellRefused);
  const words = [asked.text && `found by “${asked.text}”`, sentence.replace('every product where ', '')];
  const item = 'block w-full rounded-md px-2.5 py-1.5 text-left data-focus:bg-marigold-soft';
  return (
    <Menu>
      <MenuButton className="whitespace-nowrap rounded-lg px-2 py-1 font-medium text-petrol-ink hover:bg-sunk">
        Pick all {count(total)}
      </MenuButton>
      <MenuItems modal={false} anchor={{ to: 'bottom end', gap: 6 }} className="sheet z-50 w-72 p-1 shadow-lg">
        <MenuItem>
          <button type="button" className={item} onClick={() => void freeze()}>
            <strong>These {count(total)}</strong>
            <span className="block text-xs text-ink-2">as they are now, whatever changes later</span>
          </button>
        </MenuItem>
        <MenuItem>
          <button
            type="button"
            className={item}
            onClick={() => tray.keepMatching({ ...asked, words: words.filter(Boolean).join(', ') })}
          >
            <strong>Whatever matches</strong>
            <span className="block text-xs text-ink-2">the tray follows the conditions as goods change</span>
          </button>
        </MenuItem>
      </MenuItems>
    </Menu>
  );
}
