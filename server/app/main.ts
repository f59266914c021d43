import { randomBytes } from 'node:crypto';
import { existsSync } from 'node:fs';
import { createServer } from 'node:http';
import { join, resolve } from 'node:path';
import { pino } from 'pino';
import type { Catalog } from '../state/catalog';
import { NewerDatabaseError } from '../database/connection';
import { writeToWaiting } from '../orders/letters';
import { endUnpaidCards } from '../orders/order-steps';
import { clearBaskets } from '../store/baskets';
import { ServedShop } from './served-shop';
import { shopAssets } from '../storefront/assets';
import { failureWords } from '../folder/failure';
import { FolderInUseError } from '../folder/lock';
import { sweepFolder } from '../folder/sweep';
import { needsSetup } from '../people/set-up';
import { demoMaker, demoPerson } from '../people/demo-person';
import { originOf } from '../storefront/origin';
import { checkPassword, clearSessions } from '../people/sign-in';

const port = Number(process.env.PORT ?? 4600);
const host = process.env.HOST ?? '127.0.0.1';
const folder = resolve(process.env.DISPONA_DATA ?? 'data');
/** Where the shop is for the world; behind a proxy that is not where it listens. */
const origin = (process.env.DISPONA_BASE_URL ?? `http://${host}:${port}`).replace(/\/+$/, '');
const dist = resolve('dist');

/** Sales begin and end in open tabs, too, within this time. */
const LOOK_AT_CLOCK_MS = 1_000;

/**
 * Longer than proxies and clients keep an idle connection: the one who closes it is then never the server, whose closing could
 * cross a request that is on its way.
 */
const KEEP_ALIVE_MS = 75_000;

/** Baskets that nobody touched for so long are forgotten. */
const BASKET_KEPT_MS = 90 * 86_400_000;

/** Sessions that have ended are forgotten so often. */
const CLEAR_SESSIONS_MS = 3_600_000;

/** Whether it is time for the backup of the night is looked at so often. */
const LOOK_AT_PLAN_MS = 30_000;

/** What can wait is done beside the work, a few milliseconds at a time; when nothing is left, it is looked for seldom. */
const TENDED_AT_ONCE = 40;
const TEND_EVERY_MS = 25;
const REST_MS = 5_000;

const log = pino({ level: process.env.LOG_LEVEL ?? 'info' });

async function refuseKnownPassword(catalog: Catalog): Promise<void> {
  const isAsked = process.env.DISPONA_ALLOW_DEMO === '1';
  if (isAsked) return;
  const known = await Promise.all(
    [demoPerson, demoMaker].map(({ email, password }) => checkPassword(catalog.db, email, password)),
  );
  if (known.every((id) => id === undefined)) return;
  log.fatal(
    `Anybody knows the password of the demo shop, so it is not served at ${host}. Change that password, or set DISPONA_ALLOW_DEMO=1.`,
  );
  catalog.close();
  process.exit(1);
}

async function start(): Promise<void> {
  const started = Date.now();
  const isOpenToOthers = !/^(127\.|::1$|localhost$)/.test(host);
  const setUpCode = isOpenToOthers ? randomBytes(6).toString('hex') : undefined;
  const shop = new ServedShop(folder, {
    setUpCode,
    log,
    assets: shopAssets(dist),
    origin,
    dist: existsSync(join(dist, 'desk')) ? dist : undefined,
    restored: (catalog) => void (isOpenToOthers && refuseKnownPassword(catalog)),
  });
  if (isOpenToOthers) await refuseKnownPassword(shop.catalog);
  if (setUpCode && needsSetup(shop.catalog.db)) console.log(`To set the shop up, type this code: ${setUpCode}`);
  const server = createServer(shop.handle);
  server.on('error', (error: NodeJS.ErrnoException) => {
    log.fatal(error.code === 'EADDRINUSE' ? `Port ${port} is in use. Set PORT to another.` : error.message);
    process.exit(1);
  });
  server.keepAliveTimeout = KEEP_ALIVE_MS;
  server.listen(port, host, () =>
    log.info(`Dispona serves ${folder} at http://${host}:${port}/ and http://${host}:${port}/desk`),
  );
  sweepFolder(shop.catalog.db, folder, started).catch((error: unknown) =>
    log.warn(error, 'Could not clear leftovers away'),
  );
  const clock = setInterval(() => {
    const { catalog } = shop;
    catalog.passTime();
    // While long work holds the database, letters can wait for the next look.
    if (!catalog.writes.isIdle) return;
    const from = originOf(catalog, origin);
    writeToWaiting(catalog, from);
    endUnpaidCards({ catalog, userId: null, origin: from });
  }, LOOK_AT_CLOCK_MS);
  const clear = () => {
    const { catalog } = shop;
    clearSessions(catalog.db, catalog.clock());
    clearBaskets(catalog.db, new Date(catalog.now * 1_000 - BASKET_KEPT_MS).toISOString());
  };
  clear();
  const clearing = setInterval(clear, CLEAR_SESSIONS_MS);
  const looking = setInterval(() => shop.backups.look(), LOOK_AT_PLAN_MS);
  const tend = () => {
    const isDone = shop.catalog.compareSome(TENDED_AT_ONCE);
    tending = setTimeout(tend, isDone ? REST_MS : TEND_EVERY_MS);
  };
  let tending = setTimeout(tend, TEND_EVERY_MS);
  const stop = () => {
    clearInterval(clock);
    clearInterval(clearing);
    clearInterval(looking);
    clearTimeout(tending);
    server.close();
    server.closeAllConnections();
    shop.catalog.close();
    process.exit(0);
  };
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
}

process.umask(0o077);
start().catch((error: unknown) => {
  const isKnown = error instanceof NewerDatabaseError || error instanceof FolderInUseError;
  const words = isKnown ? error.message : failureWords(error);
  if (words === undefined) throw error;
  log.fatal(words);
  process.exitCode = 1;
});
