import { useSyncExternalStore } from 'react';

function useMedia(query: string): boolean {
  return useSyncExternalStore(
    (listener) => {
      const media = window.matchMedia(query);
      media.addEventListener('change', listener);
      return () => media.removeEventListener('change', listener);
    },
    () => window.matchMedia(query).matches,
  );
}

/** A phone: one thing at a time. */
export const useIsPhone = () => useMedia('(max-width: 767px)');

/** Too narrow for the shop window beside the work. */
export const useIsNarrow = () => useMedia('(max-width: 1023px)');
