import type { SectionOf } from '../../../../core/model/sections/sections';
import type { SectionNote } from '../../../data/shopfront';
import { Thumb } from '../../../shared/ui/thumb';
import { useGoodsDrop } from '../../../shared/ui/goods-drag';
import clsx from 'clsx';

interface Props {
  section: SectionOf<'strip'>;
  note: SectionNote;
  change: (section: SectionOf<'strip'>) => void;
}

const whyWords = { pinned: 'held here', picked: '', ordered: '', turn: 'its turn today' };

function skippedWords({ why, above }: SectionNote['skipped'][number]): string {
  switch (why) {
    case 'above':
      return above ? `is in “${above}” above` : 'is above already';
    case 'soldOut':
      return 'is sold out';
    case 'noPicture':
      return 'has no picture';
    case 'leftOut':
      return 'you left it out';
  }
}

/** Who stands in a strip, in order, with the reason, and who was passed over. Each can be held here, or left out. */
export function StripGoods({ section, note, change }: Props) {
  const { pins, leftOut, source } = section;
  const isPicked = source?.kind === 'picked';
  const hold = (ids: readonly string[]) =>
    isPicked
      ? change({ ...section, source: { kind: 'picked', ids: [...new Set([...source.ids, ...ids])] } })
      : change({
          ...section,
          pins: [...new Set([...pins, ...ids])],
          leftOut: leftOut.filter((id) => !ids.includes(id)),
        });
  const { isOver, props } = useGoodsDrop(hold);
  const act = 'rounded px-1 py-0.5 text-xs text-ink-2 hover:bg-sunk hover:text-ink';
  return (
    <div className={clsx('flex flex-col gap-3 rounded-lg', isOver && 'outline-2 outline-marigold')} {...props}>
      <section aria-label="In this order">
        <h3 className="mb-1 flex items-baseline justify-between font-semibold">
          In this order <span className="text-xs font-normal text-ink-2">drop goods here to hold them</span>
        </h3>
        <ol>
          {note.goods.map(({ id, title, thumbnail, why }, i) => (
            <li key={id} className="group flex items-center gap-2 border-b border-hair py-1">
              <span className="w-4 text-right tabular-nums text-ink-2">{i + 1}</span>
              <Thumb src={thumbnail} className="size-7 shrink-0" />
              <span className="min-w-0 flex-1 truncate" title={title}>
                {title}
              </span>
              {why === 'pinned' ? (
                <button
                  type="button"
                  className="rounded px-1 py-0.5 text-xs font-semibold text-petrol hover:bg-sunk"
                  title="Let it go"
                  onClick={() => change({ ...section, pins: pins.filter((each) => each !== id) })}
                >
                  {whyWords.pinned}
                </button>
              ) : (
                <>
                  {whyWords[why] && <span className="text-xs text-ink-2">{whyWords[why]}</span>}
                  {!isPicked && (
                    <button type="button" className={act} aria-label={`Hold ${title} here`} onClick={() => hold([id])}>
                      hold
                    </button>
                  )}
                </>
              )}
              <button
                type="button"
                className={act}
                aria-label={`Leave ${title} out here`}
                onClick={() =>
                  change({ ...section, leftOut: [...leftOut, id], pins: pins.filter((each) => each !== id) })
                }
              >
                leave out
              </button>
            </li>
          ))}
        </ol>
        {note.goods.length === 0 && <p className="py-1 text-ink-2">No goods here yet.</p>}
      </section>
      {note.skipped.length > 0 && (
        <section aria-label="Left out here" className="rounded-[10px] border border-hair bg-sheet p-2.5">
          <h3 className="mb-1 font-semibold">
            {note.skipped.length === 1
              ? 'One product is left out here'
              : `${note.skipped.length} products are left out here`}
          </h3>
          <ul>
            {note.skipped.map((product) => (
              <li key={`${product.id} ${product.why}`} className="flex items-center gap-2 py-0.5 text-ink-2">
                <Thumb src={product.thumbnail} className="size-6 shrink-0" />
                <span className="min-w-0 flex-1">
                  <span className="text-ink">{product.title}</span> {skippedWords(product)}
                </span>
                {product.why === 'leftOut' && (
                  <button
                    type="button"
                    className={act}
                    onClick={() => change({ ...section, leftOut: leftOut.filter((each) => each !== product.id) })}
                  >
                    let in
                  </button>
                )}
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
