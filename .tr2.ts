import { Catalog } from './server/state/catalog';
import { measureRelevance } from './demo/relevance/measure';
const c = new Catalog('/tmp/w/rel');
c.live.shop.take({ documents: [{ kind: 'settings', key: 'shop', body: { ...c.live.shop.settings, synonyms: [['kid', 'child', 'children', 'beginner', 'first kite'],['stunt kite', 'sport kite'],['voucher', 'gift card'],['string', 'cord', 'line'],['spool', 'bobbin', 'reel', 'winder'],['rod', 'tube', 'spar'],['fabric', 'cloth'],['power kite', 'parafoil', 'foil'],['evening','night','dark'],['big','large','huge'],['small','mini','little'],['cheap','under 25'],['course', 'lesson', 'workshop']] } as any }] });
const all = measureRelevance(c.live.shop);
for (const r of all) if (r.ndcg < 0.9) console.log(r.q.padEnd(26), r.ndcg.toFixed(2), r.total, r.titles.join(' · ').slice(0, 220));
console.log(all.length, 'mean', (all.reduce((s, r) => s + r.ndcg, 0) / all.length).toFixed(3), 'empty', all.filter((r) => r.total === 0).length);
c.close();
