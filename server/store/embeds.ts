import type { Embed } from '../../core/model/embed';
import { leanSection, wholeSection } from '../../core/model/sections/sections';
import type { Db } from '../database/connection';
import { deleteBody, putBody, readBodies } from './json-bodies';

/** All goods that stand on other sites, in the order in which they were made. */
export const readEmbeds = (db: Db): Embed[] =>
  readBodies<Embed>(db, 'embed').map((embed) => ({ ...embed, strip: wholeSection(embed.strip) }));

export const putEmbed = (db: Db, embed: Embed): void =>
  putBody(db, 'embed', { ...embed, strip: leanSection(embed.strip) } as Embed);

export const deleteEmbed = (db: Db, id: string): void => deleteBody(db, 'embed', id);
