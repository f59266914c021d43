import { useSearchParams } from 'react-router';
import type { Settings } from '../../../../core/model/settings';
import { LookPage } from '../look/look-page';
import { SubTabs } from '../sub-tabs';
import { CardsPage } from './cards-page';
import { ListingsPage } from './listings-page';
import { ProductLayoutPage } from './product-layout-page';
import { SignsPage } from './signs-page';

const parts = [
  { key: 'look', name: 'Colours and fonts' },
  { key: 'signs', name: 'Logo and notice' },
  { key: 'cards', name: 'Cards' },
  { key: 'listings', name: 'Listings' },
  { key: 'product', name: 'Product page' },
] as const;

/** How the shop looks, seen in the shop window at every choice. */
export function DesignPage({ settings }: { settings: Settings }) {
  const [params] = useSearchParams();
  const part = parts.find(({ key }) => key === params.get('part'))?.key ?? 'look';
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <SubTabs label="What is designed" view="look" tabs={parts} current={part} />
      {part === 'look' && <LookPage settings={settings} />}
      {part === 'signs' && <SignsPage settings={settings} />}
      {part === 'cards' && <CardsPage settings={settings} />}
      {part === 'listings' && <ListingsPage settings={settings} />}
      {part === 'product' && <ProductLayoutPage settings={settings} />}
    </div>
  );
}
