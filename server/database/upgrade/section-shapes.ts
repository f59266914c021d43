import { canonicalJson } from '../../../core/shared/canonical-json';
import type { Db } from '../db';

/** The last version in which a banner held one thing, and tiles led to categories only. */
export const OLD_SECTIONS = 14;

interface OldLink {
  kind: string;
  id: string;
}
interface OldBanner {
  kind: 'banner';
  title: string;
  text: string;
  link: OldLink | null;
}
interface OldTiles {
  kind: 'tiles';
  categoryIds: string[];
}
type OldSection = Partial<OldBanner> | Partial<OldTiles>;

const isOldBanner = (section: OldSection): section is OldBanner => section.kind === 'banner' && 'link' in section;
const isOldTiles = (section: OldSection): section is OldTiles => section.kind === 'tiles' && 'categoryIds' in section;

/** A section as it is stored since; itself where nothing of it changed. */
function reshaped(section: OldSection): object {
  if (isOldBanner(section)) {
    const { title, text, link, ...rest } = section;
    // A banner showed the face of the group that it led to.
    const leads = link && { buttons: [{ words: '', to: link }], ...(link.kind !== 'page' && { pictureOf: link }) };
    return { ...rest, slides: [{ title, text, ...leads }] };
  }
  if (isOldTiles(section)) {
    const { categoryIds, ...rest } = section;
    return { ...rest, targets: categoryIds.map((id) => ({ kind: 'category', id })) };
  }
  return section;
}

const reshapedText = (json: string) => canonicalJson(reshaped(JSON.parse(json) as OldSection));

/** Gives stored sections the shapes that they have now: those of the working copy, of the journal and of editions. */
export function reshapeSections(db: Db): void {
  const putSection = db.prepare(`UPDATE section SET body = ? WHERE id = ?`);
  for (const { id, body } of db.prepare(`SELECT id, body FROM section`).all() as { id: string; body: string }[])
    putSection.run(reshapedText(body), id);
  const inRow = (row: string | null) => {
    if (row === null) return null;
    const cells = JSON.parse(row) as { body: string };
    return JSON.stringify({ ...cells, body: reshapedText(cells.body) });
  };
  const putRow = db.prepare(`UPDATE journal SET before = ?, after = ? WHERE seq = ?`);
  const rows = db.prepare(`SELECT seq, before, after FROM journal WHERE table_name = 'section'`).all() as {
    seq: number;
    before: string | null;
    after: string | null;
  }[];
  for (const { seq, before, after } of rows) putRow.run(inRow(before), inRow(after), seq);
  const putPage = db.prepare(`UPDATE document SET body = ? WHERE hash = ?`);
  const pages = db.prepare(`SELECT hash, body FROM document WHERE kind = 'page'`).all() as {
    hash: string;
    body: string;
  }[];
  for (const { hash, body } of pages) {
    const page = JSON.parse(body) as { sections: OldSection[] };
    putPage.run(canonicalJson({ ...page, sections: page.sections.map(reshaped) }), hash);
  }
}
