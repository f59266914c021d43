import { open } from 'node:fs/promises';
import { join } from 'node:path';
import { filmTypes, type FilmType } from '../../core/model/film';
import { keepFile } from './file-store';

export const filmsFolder = (folder: string) => join(folder, 'films');

/** What the first bytes of a film, or of its captions, tell. */
const signs: Record<FilmType, (head: Buffer) => boolean> = {
  mp4: (head) => head.subarray(4, 8).toString('latin1') === 'ftyp',
  webm: (head) => head.readUInt32BE(0) === 0x1a45dfa3,
  vtt: (head) => /^\ufeff?WEBVTT(?:[ \t\r\n]|$)/.test(head.toString('utf8')),
};

/** Keeps a film or its captions that arrived whole; answers the name it is served under, undefined for anything else. */
export async function keepFilm(folder: string, arrived: string): Promise<string | undefined> {
  const head = Buffer.alloc(16);
  const file = await open(arrived);
  await file.read(head, 0, head.length, 0).finally(() => file.close());
  const type = filmTypes.find((each) => signs[each](head));
  return type && `${await keepFile(filmsFolder(folder), arrived)}.${type}`;
}
