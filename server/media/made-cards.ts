import { constants } from 'node:fs';
import { access, mkdir } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { cardKey, type MadeCard } from '../../core/storefront/made-card';
import { LARGEST } from '../../core/storefront/picture-sizes';
import { mediaPath, writeWhole } from './picture-store';
import { drawApart } from './draw-apart';

const exists = (path: string) =>
  access(path, constants.R_OK).then(
    () => true,
    () => false,
  );

/** Where the card of a page is, drawn when it is first asked for; undefined where nothing came of it. */
export async function cardFile(mediaFolder: string, card: MadeCard): Promise<string | undefined> {
  const path = join(mediaFolder, 'cards', `${cardKey(card)}.jpg`);
  if (await exists(path)) return path;
  const picture = card.media && mediaPath(mediaFolder, card.media, LARGEST);
  const hasPicture = picture !== null && (await exists(picture));
  const told = Buffer.from(JSON.stringify({ ...card, picture: hasPicture ? picture : null }));
  const drawn = await drawApart('draw-card', told);
  if (!drawn) return undefined;
  await mkdir(dirname(path), { recursive: true });
  await writeWhole(path, drawn);
  return path;
}
