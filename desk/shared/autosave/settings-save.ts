import { useCallback } from 'react';
import { routes } from '../../../contract';
import type { Settings } from '../../../core/model/settings';
import { call } from '../../data/api';
import type { Autosave } from './autosave';
import { useAutosave } from './use-autosave';

/** Settings of the shop that save themselves. */
export function useSettingsSave(settings: Settings): Autosave {
  const shown = useCallback((key: string): unknown => settings[key as keyof Settings], [settings]);
  return useAutosave(shown, 0, {
    save: async ({ values, was }) => ({
      saved: await call(routes.shopfront.setSettings, { body: { ...(values as Partial<Settings>), was } }),
    }),
    keyOf: (path) => String(path[0]),
  });
}
