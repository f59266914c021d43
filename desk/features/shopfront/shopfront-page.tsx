import clsx from 'clsx';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { useMenu, usePages, useSettings } from '../../data/shopfront';
import { Choose } from '../../shared/ui/choose';
import { Failed, Loading } from '../../shared/ui/states';
import { useTitle } from '../../shared/ui/use-title';
import { PageBuilder } from './builder/page-builder';
import { DesignPage } from './design/design-page';
import { ElsewherePage } from './elsewhere/elsewhere-page';
import { ExposurePage } from './exposure/exposure-page';
import { FloorPage } from './floor/floor-page';
import { MenusPage } from './menus/menus-page';
import { NewPage } from './new-page';
import { SettingsPage } from './settings/settings-page';
import { SearchPage } from './search/search-page';

/** So many pages stand side by side; the others are found by name. */
const IN_SIGHT = 5;

/** What is no page, but about all of them. */
const views = [
  { key: 'look', name: 'Look' },
  { key: 'menu', name: 'Menu' },
  { key: 'floor', name: 'Floor plan' },
  { key: 'exposure', name: 'Exposure' },
  { key: 'search', name: 'Search' },
  { key: 'elsewhere', name: 'Other sites' },
  { key: 'settings', name: 'Settings' },
];

/** Pages, built on the pages themselves, and the menu that leads to them. */
export function ShopfrontPage() {
  useTitle('Shopfront');
  const { data, error, refetch } = usePages();
  const { data: menu } = useMenu();
  const [params, setParams] = useSearchParams();
  const { data: settings } = useSettings();
  const [isMaking, setMaking] = useState(false);
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (!data || !menu) return <Loading />;
  const view = params.get('view');
  const isPage = !views.some(({ key }) => key === view);
  const current = data.pages.find((page) => page.id === params.get('page')) ?? data.pages[0];
  const inSight = data.pages.slice(0, IN_SIGHT);
  const shown = current && !inSight.includes(current) ? [...inSight.slice(0, -1), current] : inSight;
  const tab = (isOn: boolean) =>
    clsx(
      'max-w-44 truncate rounded-lg px-3 py-1.5 font-semibold',
      isOn ? 'bg-ink text-sheet' : 'bg-sunk text-ink hover:bg-line',
    );
  return (
    <div className="flex min-h-0 flex-1 flex-col max-lg:overflow-y-auto">
      <div className="flex flex-wrap items-center gap-2 border-b border-line px-4 py-2">
        <h1 className="mr-2 font-display text-2xl font-bold">Shopfront</h1>
        <div
          role="tablist"
          aria-label="Pages, and what is about all of them"
          className="flex min-w-0 flex-wrap gap-1.5"
        >
          {shown.map((page) => (
            <button
              key={page.id}
              type="button"
              role="tab"
              aria-selected={page === current && isPage}
              title={page.title}
              onClick={() => setParams({ page: page.id })}
              className={tab(page === current && isPage)}
            >
              {page.title}
            </button>
          ))}
          {views.map(({ key, name }) => (
            <button
              key={key}
              type="button"
              role="tab"
              aria-selected={view === key}
              onClick={() => setParams({ view: key })}
              className={tab(view === key)}
            >
              {name}
            </button>
          ))}
        </div>
        {data.pages.length > IN_SIGHT && (
          <Choose
            label={`Find one of ${data.pages.length} pages`}
            choices={data.pages.map(({ id, title }) => ({ value: id, label: title }))}
            choose={(id) => setParams({ page: id })}
          />
        )}
        <button
          type="button"
          onClick={() => setMaking(true)}
          className="inline-flex items-center gap-1 rounded-lg border border-dashed border-ink-3 px-2.5 py-1.5 text-ink-2 hover:border-ink hover:text-ink"
        >
          <Plus size={13} aria-hidden="true" /> New page
        </button>
        {isMaking && <NewPage close={() => setMaking(false)} open={(id) => setParams({ page: id })} />}
      </div>
      {view === 'floor' ? (
        <FloorPage />
      ) : view === 'exposure' ? (
        <ExposurePage />
      ) : view === 'elsewhere' ? (
        <ElsewherePage />
      ) : view === 'search' ? (
        <SearchPage />
      ) : view === 'look' ? (
        settings && <DesignPage settings={settings} />
      ) : view === 'settings' ? (
        settings && <SettingsPage settings={settings} />
      ) : view === 'menu' ? (
        <div className="min-h-0 flex-1 overflow-y-auto p-4">
          <MenusPage menu={menu} />
        </div>
      ) : (
        current && (
          <PageBuilder
            key={current.id}
            page={current}
            pages={data.pages}
            ways={data.ways[current.id] ?? []}
            open={(id) => setParams(id === null ? {} : { page: id })}
          />
        )
      )}
    </div>
  );
}
