import { useEffect, useState } from 'react';
import type { Typed } from '../../../../contract/shop-window';
import { presets } from '../../../../core/look/presets';
import { canonicalJson } from '../../../../core/shared/canonical-json';
import type { Look } from '../../../../core/model/look';
import { colourRoles, families, lookChoices, type ColourRole, type Family } from '../../../../core/model/look-choices';
import type { Settings } from '../../../../core/model/settings';
import { useField } from '../../../shared/autosave/use-autosave';
import { useDrawnDrafts } from '../../../shared/autosave/use-drawn-drafts';
import type { Values } from '../../../shared/autosave/step';
import { Button } from '../../../shared/ui/button';
import { Clashes } from '../../../shared/ui/clashes';
import { OneOf } from '../../../shared/ui/one-of';
import { SaveStateWords } from '../../../shared/ui/save-state';
import { Select } from '../../../shared/ui/select';
import { typedDrafts } from '../../../shared/ui/typed-drafts';
import { useShopWindow } from '../../../shared/window-state';
import { useSettingsSave } from '../../../shared/autosave/settings-save';
import { ColourField } from './colour-field';
import { Faults } from './faults';
import { FromPicture } from './from-picture';
import { PresetCards } from './preset-cards';
import { WindowPages } from './window-pages';

/** A look that the shop window shows while it is thought about. */
interface Tried {
  name: string;
  look: Look;
}

const drawnLook = ({ look }: Values): Typed => ({ of: 'shop', fields: { look: look as Look | undefined } });

const roles = Object.entries(colourRoles) as [ColourRole, string][];
const familyChoices = Object.entries(families).map(([value, { name }]) => ({ value, label: name }));

/** The look of the shop, seen in the shop window at every choice; another one is tried there before it is taken. */
export function LookPage({ settings }: { settings: Settings }) {
  const save = useSettingsSave(settings);
  useDrawnDrafts(save, drawnLook);
  const { value: look, change, error } = useField<Look>(save, 'look');
  const [tried, setTried] = useState<Tried | null>(null);
  const [page, setPage] = useState('/');
  useShopWindow(page);
  useEffect(() => {
    const holder = {};
    typedDrafts.set(holder, tried && { of: 'shop', fields: { look: tried.look } });
    return () => typedDrafts.set(holder, null);
  }, [tried]);
  const set = (over: Partial<Look>) => change({ ...look, ...over });
  const setColour = (role: ColourRole, colour: string) => set({ colours: { ...look.colours, [role]: colour } });
  return (
    <div className="min-h-0 flex-1 overflow-y-auto p-5">
      <div className="flex max-w-3xl flex-col gap-6">
        <WindowPages page={page} show={setPage} />
        <section aria-labelledby="presets">
          <h2 id="presets" className="font-display text-lg font-bold">
            Ready-made looks
          </h2>
          <p className="mb-2 text-ink-2">Try one on your own goods, in the shop window, before you take it.</p>
          <PresetCards
            presets={presets}
            tried={tried?.name ?? null}
            isTaken={({ look: of }) => canonicalJson(of) === canonicalJson(look)}
            attempt={setTried}
          />
          <FromPicture look={look} logo={settings.signs.logo} attempt={(name, of) => setTried({ name, look: of })} />
          {tried && (
            <div role="status" className="mt-3 flex flex-wrap items-center gap-3 rounded-lg bg-marigold-soft px-4 py-3">
              <span className="font-semibold">The shop window shows “{tried.name}”.</span>
              <Button
                look="main"
                onClick={() => {
                  change(tried.look);
                  setTried(null);
                }}
              >
                Take this look
              </Button>
              <Button onClick={() => setTried(null)}>Back to my look</Button>
            </div>
          )}
        </section>
        <section aria-labelledby="colours">
          <h2 id="colours" className="mb-2 font-display text-lg font-bold">
            Colours
          </h2>
          <div className="grid gap-x-6 gap-y-2 sm:grid-cols-2 lg:grid-cols-3">
            {roles.map(([role, name]) => (
              <ColourField
                key={role}
                label={name}
                value={look.colours[role]}
                change={(colour) => setColour(role, colour)}
              />
            ))}
          </div>
          <Faults look={look} mend={setColour} />
        </section>
        <section aria-labelledby="letters">
          <h2 id="letters" className="mb-2 font-display text-lg font-bold">
            Fonts and shapes
          </h2>
          <div className="flex flex-wrap gap-x-6 gap-y-4">
            {(
              [
                ['display', 'Headings'],
                ['text', 'Everything else'],
              ] as const
            ).map(([key, name]) => (
              <div key={key}>
                <span className="mb-1 block font-semibold">{name}</span>
                <Select
                  label={name}
                  value={look[key]}
                  choices={familyChoices}
                  choose={(family) => set({ [key]: family as Family })}
                  className="w-52 !py-[6px]"
                />
              </div>
            ))}
            {lookChoices.map(({ key, name, words }) => (
              <OneOf
                key={key}
                label={name}
                choices={Object.entries(words).map(([value, label]) => ({ value, label }))}
                value={look[key]}
                choose={(value) => set({ [key]: value })}
              />
            ))}
          </div>
        </section>
        {error && (
          <p role="alert" className="text-rose-ink">
            {error}
          </p>
        )}
        <p className="text-xs text-ink-2">Shoppers see the look with the next edition.</p>
        <Clashes save={save} />
        <SaveStateWords save={save} />
      </div>
    </div>
  );
}
