import type { EmbedView } from '../../core/storefront/embed-view';
import './embed';

/** What the desk tells the page on which it shows goods for other sites. */
interface Told {
  disponaEmbed: EmbedView;
}

addEventListener('message', ({ data, origin }: MessageEvent<Told | undefined>) => {
  if (origin !== location.origin || !data?.disponaEmbed) return;
  const element = document.querySelector('dispona-goods') as HTMLElement & { show: (view: EmbedView) => void };
  element.show(data.disponaEmbed);
});
parent.postMessage('dispona-sample-ready', location.origin);
