import type { Category } from '../model/group';

/** Deepest level that categories may have (a top category is level 1). */
export const MAX_CATEGORY_DEPTH = 5;

const TOO_DEEP = `Categories can be at most ${MAX_CATEGORY_DEPTH} levels deep.`;

/** Looks up parents, children and branches of a set of categories. Built in O(n log n). */
export class CategoryTree {
  readonly #byId = new Map<string, Category>();
  readonly #children = new Map<string | null, Category[]>();

  constructor(categories: Iterable<Category>) {
    const sorted = [...categories].sort((a, b) => a.position - b.position || (a.id < b.id ? -1 : 1));
    for (const category of sorted) this.#byId.set(category.id, category);
    for (const category of sorted) {
      const parent = category.parentId && this.#byId.has(category.parentId) ? category.parentId : null;
      const siblings = this.#children.get(parent);
      if (siblings) siblings.push(category);
      else this.#children.set(parent, [category]);
    }
  }

  get(id: string): Category | undefined {
    return this.#byId.get(id);
  }

  /** Direct children in order; of the root when `id` is null. */
  children(id: string | null): readonly Category[] {
    return this.#children.get(id) ?? [];
  }

  /** The category and all above it, from the top down. Empty when it does not exist. */
  path(id: string): Category[] {
    const path: Category[] = [];
    let at = this.#byId.get(id);
    while (at && !path.includes(at)) {
      path.unshift(at);
      at = at.parentId ? this.#byId.get(at.parentId) : undefined;
    }
    return path;
  }

  /** The category and everything below it. */
  branch(id: string): Category[] {
    const root = this.#byId.get(id);
    if (!root) return [];
    // Categories that stand below each other in a circle cannot be made, but could be stored.
    const found = new Set([root]);
    for (const category of found) for (const child of this.children(category.id)) found.add(child);
    return [...found];
  }

  /** All categories, parents before children, siblings in order, with their level (1 = top). */
  flat(): { category: Category; level: number }[] {
    const rows: { category: Category; level: number }[] = [];
    const walk = (id: string | null, level: number) => {
      for (const category of this.children(id)) {
        rows.push({ category, level });
        walk(category.id, level + 1);
      }
    };
    walk(null, 1);
    return rows;
  }

  /** Why no category may be added below `parentId`, in plain words; undefined when one may. */
  refuseChild(parentId: string): string | undefined {
    return this.path(parentId).length >= MAX_CATEGORY_DEPTH ? TOO_DEEP : undefined;
  }

  /** Why `id` may not move below `parentId`, in plain words; undefined when it may. */
  refuseMove(id: string, parentId: string | null): string | undefined {
    if (parentId === null) return undefined;
    if (!this.#byId.has(parentId)) return 'The category to move into no longer exists.';
    const branch = this.branch(id);
    if (branch.some((category) => category.id === parentId)) return 'A category cannot move into itself.';
    const depth = (categoryId: string) => this.path(categoryId).length;
    const height = Math.max(...branch.map((category) => depth(category.id))) - depth(id) + 1;
    if (depth(parentId) + height > MAX_CATEGORY_DEPTH) return TOO_DEEP;
    return undefined;
  }
}
