import bowser from 'bowser';

/** A browser and the system it runs on, such as "Firefox on Linux", from what it calls itself. */
export function deviceWords(agent: string): string {
  if (agent === '') return 'An unknown device';
  const { browser, os } = bowser.parse(agent);
  return [browser.name || 'An unknown browser', os.name].filter(Boolean).join(' on ');
}
