import { scaledCatalog } from './demo/scale';
import { ResolvedShop } from './core/shop/resolved-shop';
import { list } from './core/search/listing';
import { understand } from './core/shop/understand';
import { benchQueries, facets, isOnVariant } from './bench/queries';
const size = Number(process.argv[2] ?? 50000);
const c = scaledCatalog(size);
const shop = new ResolvedShop({ stock: () => null, now: 1767225600 + 86400*30 });
shop.load([...c.categories.map((body) => ({ kind: 'category', key: body.id, body })),...c.brands.map((body) => ({ kind: 'brand', key: body.id, body })),...c.tags.map((body) => ({ kind: 'tag', key: body.id, body })),...c.products.map((body) => ({ kind: 'product', key: body.id, body }))] as any);
const qs = benchQueries(c, 500, 'mixed');
function run(read: boolean) { const t: number[] = []; const tt: number[]=[]; for (const q of qs) { const best: number[] = []; for (let i=0;i<3;i++){ const t0 = performance.now(); list(shop.index, { text: q.text && read ? understand(shop, q.text, 12) : q.text, choices: Object.entries(q.filters).map(([facet, values]) => ({ facet, values, onVariant: isOnVariant(facet) })), ranges: q.price ? [{ column: 'price', ...q.price }] : [], sort: q.text ? 'match' : q.sort, tieOrder: 'featured', offset: 0, limit: 24, count: facets, extent: [] }); best.push(performance.now()-t0);} best.sort((a,b)=>a-b); t.push(best[1]!); if (q.text) tt.push(best[1]!); } const p=(a:number[],x:number)=>a.sort((m,n)=>m-n)[Math.floor(a.length*x)]!.toFixed(2); console.log(read?'read ':'plain','p50',p(t,.5),'p95',p(t,.95),'max',p(t,.999),'| text only p50',p(tt,.5),'p95',p(tt,.95)); }
run(false); run(true); run(false); run(true);
