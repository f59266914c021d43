import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { createMemoryRouter, RouterProvider } from 'react-router';

/** What the server answers in a test: by method and path. */
export type Answers = Record<
  string,
  (body: unknown) => { status?: number; body: unknown } | Promise<{ status?: number; body: unknown }>
>;

/** Every request in the order in which it came. */
export interface Asked {
  what: string;
  body: unknown;
}

/** Puts a server in the place of the network; answers what was asked of it. */
export function serveWith(answers: Answers): Asked[] {
  const asked: Asked[] = [];
  globalThis.fetch = (async (url: string, init: RequestInit = {}) => {
    const what = `${init.method ?? 'GET'} ${String(url).split('?')[0]}`;
    const body: unknown = typeof init.body === 'string' ? JSON.parse(init.body) : undefined;
    asked.push({ what, body });
    const answer = answers[what];
    if (!answer) throw new TypeError(`Nobody answers ${what}`);
    const { status = 200, body: told } = await answer(body);
    return {
      ok: status < 400,
      status,
      headers: { get: () => 'application/json' },
      json: () => Promise.resolve(told),
    };
  }) as never;
  return asked;
}

/** Draws something with what stands around every screen: server state and addresses. */
export function draw(what: ReactNode, at = '/') {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const router = createMemoryRouter([{ path: '*', element: what }], { initialEntries: [at] });
  return {
    client,
    router,
    ...render(
      <QueryClientProvider client={client}>
        <RouterProvider router={router} />
      </QueryClientProvider>,
    ),
  };
}

const startsWith = (words: string) => new RegExp(`^${words.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}`);

/** Opens the list of choices with this label and takes one of them, by how it begins. */
export async function choose(label: string, choice: string): Promise<void> {
  await userEvent.click(await screen.findByRole('button', { name: startsWith(`${label}: `) }));
  await userEvent.click(await screen.findByRole('option', { name: startsWith(choice) }));
}

/** Types into a field that completes what is typed, and takes what it offers, by how that begins. */
export async function complete(label: string, typed: string, choice = typed): Promise<void> {
  await userEvent.type(await screen.findByRole('combobox', { name: label }), typed);
  await userEvent.click(await screen.findByRole('option', { name: startsWith(choice) }));
}

/** Waits until the screen shows what the server has: nothing is being written or read any more. */
export const settled = (client: QueryClient): Promise<void> =>
  waitFor(() => expect([client.isMutating(), client.isFetching()]).toEqual([0, 0]));

/** Types something into a field in place of what stands there. */
export async function retype(field: HTMLElement, text: string): Promise<void> {
  await userEvent.clear(field);
  await userEvent.type(field, text);
}
