import { Minus, Plus } from 'lucide-react';
import { useCallback, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { toast } from 'sonner';
import { EMPTY_RULE, ruleSchema, type Rule } from '../../../../core/model/rule';
import type { Target } from '../../../../core/model/target';
import { useExposure } from '../../../data/exposure';
import { useFloor, usePages, useShopfrontWrites, type FloorAsked, type WantedSection } from '../../../data/shopfront';
import { RuleField } from '../../../shared/rules/rule-field';
import { useTray } from '../../../shared/tray-store';
import { Button } from '../../../shared/ui/button';
import { Tick } from '../../../shared/ui/tick';
import { Dialog } from '../../../shared/ui/dialog';
import { Failed, Loading } from '../../../shared/ui/states';
import { useWindowTaken } from '../../../shared/window-state';
import { ChooseTarget } from '../../../shared/pickers/choose-target';
import { TargetName } from '../../../shared/pickers/target-words';
import { targetOf } from '../../../shared/pickers/targets';
import { FloorCard, type FloorPlace, type Warmth } from './floor-card';
import { LitPanel } from './lit-panel';
import { usePanZoom } from './use-pan-zoom';
import { tellRefused } from '../../../data/tell-refused';

const COLUMN = 206;

const columnWords = (clicks: number | null) =>
  clicks === null ? 'no way in' : clicks === 0 ? 'the first page' : clicks === 1 ? '1 click' : `${clicks} clicks`;

/** The rule in an address; an empty one for anything else. */
function readRule(text: string | null): Rule {
  try {
    return ruleSchema.parse(JSON.parse(text ?? ''));
  } catch {
    return EMPTY_RULE;
  }
}

/** Pages side by side by the clicks that lead to them, so many columns for each distance as make the plan about square. */
function columnsOf(places: readonly FloorPlace[]): { title: string; cards: FloorPlace[] }[] {
  const byClicks = new Map<number | null, FloorPlace[]>();
  for (const place of places) {
    const key = place.unseen ? null : place.clicks;
    byClicks.set(key, [...(byClicks.get(key) ?? []), place]);
  }
  const most = Math.max(3, Math.ceil(Math.sqrt(places.length)));
  return [...byClicks]
    .sort(([a], [b]) => (a ?? Infinity) - (b ?? Infinity))
    .flatMap(([clicks, all]) => {
      const count = Math.ceil(all.length / most);
      const columns = Array.from({ length: count }, (_, i) => ({
        title: i === 0 ? columnWords(clicks) : '',
        cards: [] as FloorPlace[],
        height: 0,
      }));
      for (const place of all) {
        const least = columns.reduce((low, each) => (each.height < low.height ? each : low));
        least.cards.push(place);
        least.height += 60 + place.parts.reduce((sum, { goods }) => sum + 30 + Math.ceil(goods.length / 4) * 44, 0);
      }
      return columns;
    });
}

/** All pages drawn small, with menus above: where everything stands, and where what is lit does. */
export function FloorPage() {
  useWindowTaken();
  const [params, setParams] = useSearchParams();
  const trayIds = useTray();
  const litKey = params.get('lit');
  const target: Target | null = litKey?.includes(':') ? targetOf(litKey) : null;
  const ruleText = params.get('if');
  const rule = useMemo(() => readRule(ruleText), [ruleText]);
  const [isRuling, setRuling] = useState(false);
  const lit = useMemo<FloorAsked>(() => {
    if (litKey === 'tray') return { ids: [...trayIds] };
    if (litKey === 'rule') return rule.of.length > 0 ? { rule } : null;
    return litKey ? { target: targetOf(litKey) } : null;
  }, [litKey, trayIds, rule]);
  const { data: floor, error, refetch } = useFloor(lit);
  const { data: pages } = usePages();
  const { updatePage } = useShopfrontWrites();
  const { pane, scale, zoom, drag } = usePanZoom();
  const isWarm = params.get('seen') === 'yes';
  const { data: exposure } = useExposure(isWarm);
  const warmth = useMemo<Warmth | null>(
    () =>
      isWarm && exposure
        ? {
            goods: new Map(exposure.goods.map(({ id, share }) => [id, share])),
            most: exposure.goods.reduce((most, { share }) => Math.max(most, share), 0),
            places: new Map(exposure.places.map(({ kind, id, share }) => [`${kind}:${id}`, share])),
          }
        : null,
    [isWarm, exposure],
  );
  const show = (key: string | null, warm: boolean) =>
    setParams({
      view: 'floor',
      ...(key !== null && { lit: key }),
      ...(key === 'rule' && { if: ruleText ?? '' }),
      ...(warm && { seen: 'yes' }),
    });
  const light = (key: string | null) => show(key, isWarm);
  const lightRule = (next: Rule) =>
    setParams({ view: 'floor', lit: 'rule', if: JSON.stringify(next), ...(isWarm && { seen: 'yes' }) });
  const write = useCallback(
    (pageId: string, change: (section: WantedSection, at: number, all: WantedSection[]) => WantedSection) => {
      const page = pages?.pages.find(({ id }) => id === pageId);
      if (!page) return;
      updatePage.mutate(
        { id: pageId, sections: page.sections.map(change), was: { sections: page.sections } },
        {
          onSuccess: () => void toast.success(`Changed “${page.title}”.`),
          onError: tellRefused,
        },
      );
    },
    [pages, updatePage],
  );
  const hold = useCallback(
    (pageId: string, sectionId: string, ids: string[]) =>
      write(pageId, (section) => {
        if (section.id !== sectionId || section.kind !== 'strip') return section;
        return section.source?.kind === 'picked'
          ? { ...section, source: { kind: 'picked', ids: [...new Set([...section.source.ids, ...ids])] } }
          : { ...section, pins: [...new Set([...section.pins, ...ids])] };
      }),
    [write],
  );
  const columns = useMemo(() => columnsOf(floor?.places ?? []), [floor]);
  if (error && !floor) return <Failed error={error} retry={() => void refetch()} />;
  if (!floor) return <Loading />;
  const pageCount = floor.places.filter(({ kind }) => kind === 'page').length;
  return (
    <div className="flex min-h-0 flex-1 max-lg:flex-col">
      <div className="flex min-h-0 min-w-0 flex-1 flex-col">
        <div className="flex flex-wrap items-center gap-3 px-4 py-2">
          <span className="text-ink-2">
            {pageCount} {pageCount === 1 ? 'page' : 'pages'} · {floor.places.length - pageCount} groups
          </span>
          <span className="flex items-center gap-1.5">
            <span className="text-ink-2">Light up</span>
            {target ? (
              <TargetName to={target} title="What is lit" remove={() => light(null)} />
            ) : litKey === 'rule' ? (
              <>
                <Button look="bare" onClick={() => setRuling(true)}>
                  what a rule takes in …
                </Button>
                <Button look="bare" aria-label="Put the rule out" onClick={() => light(null)}>
                  ×
                </Button>
              </>
            ) : litKey === 'tray' ? (
              <Button look="bare" onClick={() => light(null)}>
                the tray ×
              </Button>
            ) : (
              <>
                <span className="w-64">
                  <ChooseTarget
                    label="a product, category, collection, brand or tag"
                    kinds={['product', 'category', 'collection', 'brand', 'tag']}
                    choose={({ kind, id }) => light(`${kind}:${id}`)}
                  />
                </span>
                <Button
                  look="bare"
                  onClick={() => {
                    lightRule(rule);
                    setRuling(true);
                  }}
                >
                  a rule …
                </Button>
                {trayIds.length > 0 && (
                  <Button look="bare" onClick={() => light('tray')}>
                    the tray
                  </Button>
                )}
              </>
            )}
          </span>
          <Tick label="How often it is seen" checked={isWarm} change={(warm) => show(litKey, warm)} />
          <span className="ml-auto flex items-center gap-1">
            <Button look="bare" aria-label="Smaller" onClick={() => zoom(0.8)}>
              <Minus size={14} aria-hidden="true" />
            </Button>
            <span className="w-12 text-center tabular-nums text-ink-2">{Math.round(scale * 100)} %</span>
            <Button look="bare" aria-label="Larger" onClick={() => zoom(1.25)}>
              <Plus size={14} aria-hidden="true" />
            </Button>
          </span>
        </div>
        <div
          ref={pane}
          role="region"
          aria-label="Floor plan"
          className="floor min-h-0 flex-1 cursor-grab overflow-auto active:cursor-grabbing"
          {...drag}
        >
          <div
            className="origin-top-left p-4"
            style={{ transform: `scale(${scale})`, width: columns.length * COLUMN + 32 }}
          >
            <ul aria-label="Menu" className="mb-4 flex flex-wrap gap-1.5">
              {floor.menu.map(({ label, below }, i) => (
                <li key={i} className="rounded-[6px] bg-ink px-2.5 py-1 text-xs font-semibold text-sheet">
                  {label}
                  {below > 0 && <span className="font-normal"> +{below}</span>}
                </li>
              ))}
            </ul>
            <div className="flex items-start gap-4">
              {columns.map(({ title, cards }, i) => (
                <section
                  key={i}
                  aria-label={title || 'more of these'}
                  className="flex w-[190px] shrink-0 flex-col gap-4"
                >
                  <h2 className={`h-4 text-xs font-semibold ${title === 'no way in' ? 'text-rose-ink' : 'text-ink-2'}`}>
                    {title}
                  </h2>
                  {cards.map((place) => (
                    <FloorCard
                      key={`${place.kind} ${place.id}`}
                      place={place}
                      isLighting={lit !== null}
                      warmth={warmth}
                      hold={hold}
                    />
                  ))}
                </section>
              ))}
            </div>
          </div>
        </div>
      </div>
      {isRuling && (
        <Dialog title="Light up what a rule takes in" isOpen close={() => setRuling(false)} width="max-w-2xl">
          <RuleField rule={rule} change={lightRule} />
          <Button look="main" className="mt-4" onClick={() => setRuling(false)}>
            Show them
          </Button>
        </Dialog>
      )}
      <aside
        aria-label="About the floor"
        className="w-[19rem] shrink-0 overflow-y-auto border-l border-line p-3.5 max-lg:w-full max-lg:border-l-0"
      >
        <LitPanel
          floor={floor}
          isLighting={lit !== null}
          isWarm={warmth !== null}
          skipRepeats={(pageId) =>
            write(pageId, (section, at, all) => {
              const isBelow = all.slice(0, at).some(({ kind }) => kind === 'strip' || kind === 'product');
              return section.kind === 'strip' && isBelow ? { ...section, skipAbove: true } : section;
            })
          }
        />
      </aside>
    </div>
  );
}
