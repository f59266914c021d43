import { Router } from 'express';
import { elsewhereRoutes } from '../../contract/elsewhere';
import { answer } from '../http/answer';
import { notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { addKey, dropKey, readKeys } from '../store/api-keys';
import { newSecret } from '../store/feeds';
import { changeEmbed, drawEmbed, embedsAnswer, makeEmbed, removeEmbed } from './embeds';
import {
  changeFeed,
  feedAddress,
  feedOrRefuse,
  feedsAnswer,
  makeFeed,
  previewFeed,
  productChannels,
  removeFeed,
  verdictsAnswer,
} from './feeds';

const ok = { ok: true as const };

/** Goods in pages of other sites, feeds that other services fetch, and keys for programs. */
export function elsewhereApi(catalog: Catalog, originNow: () => string): Router {
  const router = Router();
  answer(router, elsewhereRoutes.embeds, () => embedsAnswer(catalog, originNow()));
  answer(router, elsewhereRoutes.addEmbed, ({ user, body }) => ({ id: makeEmbed(catalog, user, body) }));
  answer(router, elsewhereRoutes.changeEmbed, ({ params, user, body }) => ({
    embed: changeEmbed(catalog, user, params.id!, body),
  }));
  answer(router, elsewhereRoutes.deleteEmbed, ({ params, user }) => {
    removeEmbed(catalog, user, params.id!);
    return ok;
  });
  answer(router, elsewhereRoutes.drawEmbed, ({ params, body }) => drawEmbed(catalog, params.id!, body));
  answer(router, elsewhereRoutes.feeds, () => feedsAnswer(catalog, originNow()));
  answer(router, elsewhereRoutes.addFeed, ({ user, body }) => ({ id: makeFeed(catalog, user, body) }));
  answer(router, elsewhereRoutes.changeFeed, ({ params, user, body }) => ({
    feed: changeFeed(catalog, user, params.id!, body),
  }));
  answer(router, elsewhereRoutes.deleteFeed, ({ params, user }) => {
    removeFeed(catalog, user, params.id!);
    return ok;
  });
  answer(router, elsewhereRoutes.newAddress, ({ params }) => {
    const feed = feedOrRefuse(catalog, params.id!);
    newSecret(catalog.db, feed.id);
    return { address: feedAddress(catalog, feed, originNow()) };
  });
  answer(router, elsewhereRoutes.previewFeed, ({ params, body }) =>
    previewFeed(catalog, params.id!, body, originNow()),
  );
  answer(router, elsewhereRoutes.verdicts, ({ params, query }) =>
    verdictsAnswer(catalog, params.id!, query, originNow()),
  );
  answer(router, elsewhereRoutes.productChannels, ({ params }) => productChannels(catalog, params.id!, originNow()));
  answer(router, elsewhereRoutes.keys, () => ({ keys: readKeys(catalog.db) }));
  answer(router, elsewhereRoutes.addKey, ({ body: { name, scopes } }) => ({
    key: addKey(catalog.db, name, scopes, catalog.clock().toISOString()),
  }));
  answer(router, elsewhereRoutes.dropKey, ({ params }) => {
    if (!dropKey(catalog.db, params.id!)) throw notFound(refusals.noSuchKey);
    return ok;
  });
  return router;
}
