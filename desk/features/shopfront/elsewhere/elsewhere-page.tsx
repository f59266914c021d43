import { Plus } from 'lucide-react';
import { useSearchParams } from 'react-router';
import { useEmbeds, useEmbedWrites } from '../../../data/elsewhere';
import { useTray } from '../../../shared/tray-store';
import { Button } from '../../../shared/ui/button';
import { Failed, Loading } from '../../../shared/ui/states';
import { EmbedSheet } from './embed-sheet';
import { tellRefused } from '../../../data/tell-refused';

/** Goods of the shop that stand in pages of other sites. */
export function ElsewherePage() {
  const { data, error } = useEmbeds();
  const { add } = useEmbedWrites();
  const tray = useTray();
  const [params, setParams] = useSearchParams();
  if (error) return <Failed error={error} />;
  if (!data) return <Loading rows={4} />;
  const open = (id: string | null) => setParams(id === null ? { view: 'elsewhere' } : { view: 'elsewhere', embed: id });
  const make = (ids?: string[]) =>
    add.mutate(
      { name: ids ? `${ids.length} goods of the tray` : 'Goods for another site', ids },
      { onSuccess: ({ id }) => open(id), onError: tellRefused },
    );
  const current = data.embeds.find(({ embed }) => embed.id === params.get('embed')) ?? data.embeds[0];
  const makers = (
    <>
      <Button disabled={add.isPending} onClick={() => make()}>
        <Plus size={13} aria-hidden="true" /> New
      </Button>
      {tray.length > 0 && (
        <Button disabled={add.isPending} onClick={() => make([...tray].slice(0, 48))}>
          Of the tray
        </Button>
      )}
    </>
  );
  if (!current)
    return (
      <div className="p-6">
        <div className="sheet max-w-2xl p-6">
          <h2 className="font-display text-lg font-bold">Your goods on any page</h2>
          <p className="mb-4 mt-1 text-ink-2">
            Choose goods and a look that fits, and put three lines into a page of your club, your blog or your old site.
            The goods open there with all that is known of them, fill a basket, and are paid for here.
          </p>
          <span className="flex gap-2">{makers}</span>
        </div>
      </div>
    );
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-3 p-4">
      <nav aria-label="On other sites" className="flex flex-wrap items-center gap-1.5">
        {data.embeds.map(({ embed, goods }) => (
          <button
            key={embed.id}
            type="button"
            aria-current={embed === current.embed ? 'page' : undefined}
            onClick={() => open(embed.id)}
            className="max-w-64 truncate rounded-lg px-2.5 py-1 hover:bg-line aria-[current]:bg-sheet aria-[current]:font-semibold aria-[current]:shadow-sm"
          >
            {embed.name} <span className="text-xs font-normal text-ink-2">{goods}</span>
          </button>
        ))}
        {makers}
      </nav>
      <EmbedSheet key={current.embed.id} row={current} origin={data.origin} copied={open} gone={() => open(null)} />
    </div>
  );
}
