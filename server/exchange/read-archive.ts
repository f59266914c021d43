import type { KnownPicture } from '../../core/exchange/known-picture';
import { pictureName } from '../../core/exchange/picture-column';
import { ArchiveError, entriesOf, readSmall } from '../folder/archive';
import { MAX_PICTURE_BYTES, RefusedPictureError, storePicture } from '../media/picture-store';
import { invalidField } from '../shared/problem';
import type { Catalog } from '../state/catalog';

const TABLE = /\.(?:csv|tsv|txt|xlsx|json)$/i;
const PICTURE = /\.(?:jpe?g|png|webp|gif|avif|svg)$/i;
const MOST_PICTURES = 1_000;
const MOST_TABLE_BYTES = 30 * 1024 * 1024;
const MOST_UNPACKED = 1_000 * 1024 * 1024;

const refuse = (words: string) => invalidField(['files'], words);
const isHidden = (name: string) => name.split('/').some((part) => part.startsWith('.') || part === '__MACOSX');

/** Is this a ZIP of files, and not a workbook, which is one inside? */
export async function isArchive(content: Buffer): Promise<boolean> {
  if (!content.subarray(0, 4).equals(Buffer.from([0x50, 0x4b, 3, 4]))) return false;
  try {
    const { entries } = await entriesOf(content);
    return !entries.some(({ fileName }) => fileName === '[Content_Types].xml' || fileName.startsWith('xl/'));
  } catch (error) {
    if (error instanceof ArchiveError) throw refuse(error.message);
    throw error;
  }
}

export interface Unpacked {
  name: string;
  content: Buffer;
  /** by the names of their files, in small letters */
  pictures: Record<string, KnownPicture>;
}

/**
 * Takes the file with goods out of a ZIP, and keeps the pictures that came with it. Refuses in plain words what is too large, or holds
 * no such file, or more than one.
 */
export async function readArchive(catalog: Catalog, content: Buffer): Promise<Unpacked> {
  try {
    const { zip, entries: all } = await entriesOf(content);
    const entries = all.filter(({ fileName }) => !isHidden(fileName));
    const unpacked = entries.reduce((sum, { uncompressedSize }) => sum + uncompressedSize, 0);
    if (unpacked > MOST_UNPACKED) throw refuse('This ZIP becomes far too large when it is unpacked.');
    const tables = entries.filter(({ fileName }) => TABLE.test(fileName));
    const [table] = tables;
    if (!table) throw refuse('There is no file with goods in this ZIP: a CSV, TSV, XLSX or JSON beside the pictures.');
    if (tables.length > 1)
      throw refuse(`There are ${tables.length} files with goods in this ZIP: leave one of them in it.`);
    if (table.uncompressedSize > MOST_TABLE_BYTES) throw refuse('The file with goods may have up to 30 MB.');
    const photos = entries.filter(({ fileName }) => PICTURE.test(fileName));
    if (photos.length > MOST_PICTURES)
      throw refuse(`There are ${photos.length} pictures in this ZIP; at most ${MOST_PICTURES} come at once: part it.`);
    const pictures: Record<string, KnownPicture> = {};
    const at = catalog.clock().toISOString();
    for (const entry of photos) {
      const { fileName } = entry;
      const bytes = await readSmall(zip, entry, MAX_PICTURE_BYTES);
      try {
        const { media, width, height, background } = await storePicture(
          catalog.db,
          catalog.mediaFolder,
          bytes,
          fileName,
          at,
        );
        pictures[pictureName(fileName)] = { media, width, height, background };
      } catch (error) {
        if (error instanceof RefusedPictureError) throw refuse(`${fileName}: ${error.message}`);
        throw error;
      }
    }
    return {
      name: table.fileName.replace(/^.*\//, ''),
      content: await readSmall(zip, table, MOST_TABLE_BYTES),
      pictures,
    };
  } catch (error) {
    if (error instanceof ArchiveError) throw refuse(error.message);
    throw error;
  }
}
