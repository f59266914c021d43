import type { Settings } from '../../../../core/model/settings';
import { signsSchema, type Notice, type Signs } from '../../../../core/model/signs';
import type { Typed } from '../../../../contract/shop-window';
import { useDrawnDrafts } from '../../../shared/autosave/use-drawn-drafts';
import type { Values } from '../../../shared/autosave/step';
import { useField } from '../../../shared/autosave/use-autosave';
import { SchemaField } from '../../../shared/ui/schema-field';
import { TextField } from '../../../shared/ui/field';
import { useShopWindow } from '../../../shared/window-state';
import { LinkField } from '../../../shared/pickers/link-field';
import { PictureField } from '../fields/picture-field';
import { useSettingsSave } from '../../../shared/autosave/settings-save';
import { SheetPart, SaveSheet } from '../../../shared/ui/save-sheet';

/** What the shop window draws of them before they are saved. */
function drawnSigns({ signs, notice }: Values): Typed {
  const { logo, logoHeight } = (signs ?? {}) as Partial<Signs>;
  const { text } = (notice ?? {}) as Partial<Notice>;
  return {
    of: 'shop',
    fields: { ...(logo && { logo, logoHeight }), ...(text && { notice: { text, url: null } }) },
  };
}

/** The pictures that a shop is known by, and the line at the top of each page. */
export function SignsPage({ settings }: { settings: Settings }) {
  const save = useSettingsSave(settings);
  useDrawnDrafts(save, drawnSigns);
  const signs = useField<Signs>(save, 'signs');
  const notice = useField<Notice>(save, 'notice');
  useShopWindow('/');
  const set = (over: Partial<Signs>) => signs.change({ ...signs.value, ...over });
  return (
    <SaveSheet save={save} error={signs.error ?? notice.error}>
      <SheetPart
        title="Logo"
        about="Stands in place of the name, at the top of each page. Its colours can be taken under Colours and fonts."
      >
        <div className="grid gap-5 sm:grid-cols-2">
          <PictureField isWhole label="Logo" picture={signs.value.logo} change={(logo) => set({ logo })} />
          <PictureField
            isWhole
            label="The same for dark backgrounds, if it needs another"
            picture={signs.value.logoOnDark}
            change={(logoOnDark) => set({ logoOnDark })}
          />
        </div>
        {signs.value.logo && (
          <SchemaField
            label="Height in pixels"
            schema={signsSchema.shape.logoHeight}
            value={signs.value.logoHeight}
            className="!w-24"
            change={(logoHeight: number) => set({ logoHeight })}
          />
        )}
      </SheetPart>
      <SheetPart title="Icon and shared links" about="All sizes are made from one picture; a square one is best.">
        <div className="grid gap-5 sm:grid-cols-2">
          <PictureField
            isWhole
            label="Icon in browser tabs and on phones; without one, the logo"
            picture={signs.value.icon}
            change={(icon) => set({ icon })}
          />
          <PictureField
            isWhole
            label="Picture for links that people share, where the page has none"
            picture={signs.value.shared}
            change={(shared) => set({ shared })}
          />
        </div>
      </SheetPart>
      <SheetPart title="Notice" about="One line above everything, such as when you are away or what is on offer.">
        <TextField
          label="Words"
          maxLength={160}
          value={notice.value.text}
          onChange={({ target }) => notice.change({ ...notice.value, text: target.value })}
        />
        {notice.value.text !== '' && (
          <div className="max-w-md">
            <span className="mb-1 block font-semibold">It leads to</span>
            <LinkField
              label="Nowhere yet: find or type where it leads"
              link={notice.value.link}
              change={(link) => notice.change({ ...notice.value, link })}
            />
          </div>
        )}
      </SheetPart>
    </SaveSheet>
  );
}
