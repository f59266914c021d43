/** Where somebody is at work, in one tab. */
export interface AtWork {
  userId: string;
  name: string;
  /** path of the screen, below the desk */
  path: string;
  /** what the screen is called */
  title: string;
  /** what they typed there and is not saved, by the names of the fields */
  unsaved: string[];
}

/** A tab that says nothing for so long is gone. */
const GONE_MS = 75_000;
/** Nobody has more tabs open; what comes beyond that takes the place of the oldest. */
const MOST_TABS = 200;

/** Who works where just now. It is kept in memory: after a restart all tabs tell it again. */
export class Presence {
  readonly #tabs = new Map<string, AtWork & { at: number }>();

  /** Notes where a tab is; answers whether that is news to others. */
  tell(tab: string, where: AtWork, now: number): boolean {
    const before = this.#tabs.get(tab);
    const isSame =
      before?.path === where.path && before.title === where.title && before.unsaved.join() === where.unsaved.join();
    if (before && isSame) {
      before.at = now;
      return false;
    }
    this.#tabs.delete(tab);
    this.#tabs.set(tab, { ...where, at: now });
    if (this.#tabs.size > MOST_TABS) this.#tabs.delete(this.#tabs.keys().next().value!);
    return true;
  }

  /** A tab is closed; answers whether it was there. */
  leave(tab: string): boolean {
    return this.#tabs.delete(tab);
  }

  /** Where others than one person are, those that moved last first. Times in ms. */
  others(userId: string, now: number): AtWork[] {
    for (const [tab, { at }] of this.#tabs) if (now - at > GONE_MS) this.#tabs.delete(tab);
    return [...this.#tabs.values()]
      .filter((each) => each.userId !== userId)
      .reverse()
      .map(({ at: _, ...where }) => where);
  }
}
