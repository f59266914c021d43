const KEY = 'searched';
const MOST = 5;

/** What this shopper searched for on this device, the last one first. */
export function recentSearches(): string[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]');
    return Array.isArray(kept) ? kept.filter((each) => typeof each === 'string').slice(0, MOST) : [];
  } catch {
    return [];
  }
}

/** Notes what was searched for. Stays in the browser. */
export function noteSearch(q: string): void {
  const words = q.trim();
  if (words === '') return;
  try {
    const others = recentSearches().filter((each) => each.toLowerCase() !== words.toLowerCase());
    localStorage.setItem(KEY, JSON.stringify([words.slice(0, 80), ...others].slice(0, MOST)));
  } catch {
    // A browser that keeps nothing has no recent searches.
  }
}
