import { useSearchParams } from 'react-router';
import type { Settings } from '../../../../core/model/settings';
import { SubTabs } from '../sub-tabs';
import { ContactPage } from './contact-page';
import { DomainPage } from './domain-page';
import { LegalPages } from './legal-page';
import { OpeningFields } from './opening-fields';
import { PeoplePage } from './people-page';
import { TheShop } from './the-shop';

const parts = [
  { key: 'shop', name: 'The shop' },
  { key: 'contact', name: 'Contact' },
  { key: 'legal', name: 'Legal pages' },
  { key: 'domain', name: 'Domain' },
  { key: 'people', name: 'People' },
  { key: 'opening', name: 'Open or closed' },
] as const;

/** What holds for the whole shop. */
export function SettingsPage({ settings }: { settings: Settings }) {
  const [params] = useSearchParams();
  const part = parts.find(({ key }) => key === params.get('part'))?.key ?? 'shop';
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <SubTabs label="What is set" view="settings" tabs={parts} current={part} />
      {part === 'shop' && <TheShop settings={settings} />}
      {part === 'contact' && <ContactPage settings={settings} />}
      {part === 'legal' && <LegalPages />}
      {part === 'domain' && <DomainPage settings={settings} />}
      {part === 'people' && <PeoplePage />}
      {part === 'opening' && (
        <div className="min-h-0 flex-1 overflow-y-auto p-5">
          <div className="max-w-xl">
            <OpeningFields />
          </div>
        </div>
      )}
    </div>
  );
}
