import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import clsx from 'clsx';
import { Button } from '../../shared/ui/button';
import { Failed, Loading } from '../../shared/ui/states';
import { MenuEditor } from './menu-editor';
import { PageEditor } from './page-editor';
import { useMenu, usePages, useSettings, useShopfrontWrites } from '../../data/shopfront';
import { ShopSettings } from './shop-settings';
import { useTitle } from '../../shared/ui/use-title';

/** Pages as their sections, and the menu that leads to them. */
export function ShopfrontPage() {
  useTitle('Shopfront');
  const { data, error, refetch } = usePages();
  const { data: menu } = useMenu();
  const { createPage } = useShopfrontWrites();
  const [params, setParams] = useSearchParams();
  const { data: settings } = useSettings();
  const [isSetting, setSetting] = useState(false);
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (!data || !menu) return <Loading />;
  const current = data.pages.find((page) => page.id === params.get('page')) ?? data.pages[0];
  return (
    <div className="relative min-h-0 flex-1 overflow-y-auto">
      <div className="flex flex-wrap items-center gap-2 px-4 py-2.5">
        <h1 className="mr-2 font-display text-2xl font-bold">Shopfront</h1>
        <div role="tablist" aria-label="Pages" className="flex flex-wrap gap-1.5">
          {data.pages.map((page) => (
            <button
              key={page.id}
              type="button"
              role="tab"
              aria-selected={page === current}
              onClick={() => setParams({ page: page.id })}
              className={clsx(
                'rounded-lg px-3 py-1.5 font-semibold',
                page === current ? 'bg-ink text-sheet' : 'bg-sunk text-ink hover:bg-line',
              )}
            >
              {page.title}
            </button>
          ))}
        </div>
        <button
          type="button"
          onClick={() => createPage.mutate('New page', { onSuccess: (page) => setParams({ page: page.id }) })}
          className="inline-flex items-center gap-1 rounded-lg border border-dashed border-ink-3 px-2.5 py-1.5 text-ink-2 hover:border-ink hover:text-ink"
        >
          <Plus size={13} aria-hidden="true" /> New page
        </button>
        <Button look="bare" className="ml-auto" onClick={() => setSetting(true)}>
          The shop…
        </Button>
        {isSetting && settings && <ShopSettings settings={settings} close={() => setSetting(false)} />}
      </div>
      <div className="flex items-start gap-4 px-4 pb-6 max-md:flex-col">
        <MenuEditor menu={menu} />
        {current && <PageEditor key={current.id} page={current} notes={data.notes} onDeleted={() => setParams({})} />}
      </div>
    </div>
  );
}
