import { frameView } from '../../core/storefront/frame-view';
import express, { Router, type Request, type RequestHandler, type Response } from 'express';
import { parseCookie } from 'cookie';
import { createHmac, timingSafeEqual } from 'node:crypto';
import { problemTypes } from '../../contract/problem';
import type { ShopData } from '../../shop/data';
import { renderShop } from '../../shop/render';
import { sessionOf } from '../http/answer';
import { limitRequests } from '../http/limit-requests';
import { isPassword } from '../shared/passwords';
import { ProblemError } from '../shared/problem';
import { refusals } from '../shared/refusals';
import { readOpening, type Opening } from '../store/opening';
import type { StorefrontParts } from './storefront';

const COOKIE = 'dispona_door';
const COME_IN = '/come-in';
/** What a closed shop still answers: the desk, which asks who is there by itself, and what only draws the closed page. */
const OUTSIDE = /^\/(desk|api|healthz|assets|favicon\.svg)(\/|$)/;
const TRY_AGAIN_S = 86_400;

/** What a visitor who knew the password carries; another password makes it worth nothing. */
const tokenOf = ({ key, password }: Opening) => createHmac('sha256', key).update(password!).digest();

function isLetIn(request: Request, opening: Opening): boolean {
  if (opening.password === null) return false;
  const shown = Buffer.from(parseCookie(request.headers.cookie ?? '')[COOKIE] ?? '', 'base64url');
  const wanted = tokenOf(opening);
  return shown.length === wanted.length && timingSafeEqual(shown, wanted);
}

/** While the shop is closed, nobody but its people and visitors with the password gets anything of it, files and data included. */
export function door(parts: StorefrontParts & { isSecure: boolean }): Router {
  const { catalog, assets, originNow, isSecure } = parts;
  const router = Router();

  function closed(request: Request, response: Response, opening: Opening, isWrong = false): void {
    const asks = opening.password !== null;
    const status = asks ? 401 : 503;
    response.set('Cache-Control', 'no-store').set('X-Robots-Tag', 'noindex').status(status);
    if (!asks) response.set('Retry-After', String(TRY_AGAIN_S));
    if (request.accepts(['text/html', 'application/json']) !== 'text/html')
      throw new ProblemError({ type: problemTypes.closed, title: refusals.shopIsClosed, status });
    const data: ShopData = {
      shop: frameView(catalog.live.shop),
      base: '',
      url: '/',
      origin: originNow(),
      menu: { top: [], items: [], footer: [] },
      page: { kind: 'closed', message: opening.message, asks, isWrong },
    };
    response.type('html').send(renderShop(data, assets));
  }

  /** The logo and the icon stand on the closed page as well. */
  function isSign(path: string): boolean {
    const { logo, icon } = frameView(catalog.live.shop);
    return [logo, icon].some((sign) => sign && path.startsWith(`/media/${sign.media}/`));
  }

  const comeIn: RequestHandler = async (request, response) => {
    const opening = readOpening(catalog.db);
    const typed = String((request.body as { password?: unknown } | undefined)?.password ?? '').slice(0, 200);
    if (opening.isClosed && opening.password !== null) {
      if (!(await isPassword(typed, opening.password))) return closed(request, response, opening, true);
      const token = tokenOf(opening).toString('base64url');
      response.cookie(COOKIE, token, { httpOnly: true, sameSite: 'lax', secure: isSecure, path: '/' });
    }
    response.redirect(303, '/');
  };
  router.post(COME_IN, limitRequests(15 * 60_000, 20), express.urlencoded({ extended: false, limit: '2kb' }), comeIn);
  router.use((request, response, next) => {
    if (OUTSIDE.test(request.path) || sessionOf(response)) return next();
    const opening = readOpening(catalog.db);
    if (!opening.isClosed || isLetIn(request, opening) || isSign(request.path)) return next();
    closed(request, response, opening);
  });
  return router;
}
