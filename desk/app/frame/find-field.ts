/** How the field that finds anything looks, also before it can. */
export const findField = 'w-full rounded-lg border border-line bg-sheet py-[5px] pl-3 pr-8 hover:border-ink-3';
