import { Catalog } from './server/state/catalog';
import { list } from './core/search/listing';
import { understand } from './core/shop/understand';
import { LAST } from './core/shop/facts';
const c = new Catalog('/tmp/w/rel'); const s = c.live.shop;
s.take({ documents: [{ kind: 'settings', key: 'shop', body: { ...s.settings, synonyms: [['kid', 'child', 'children', 'beginner', 'first kite'],['stunt kite', 'sport kite'],['voucher', 'gift card'],['string', 'cord', 'line'],['spool', 'bobbin', 'reel', 'winder'],['rod', 'tube', 'spar'],['fabric', 'cloth'],['power kite', 'parafoil', 'foil'],['evening','night','dark'],['big','large','huge'],['small','mini','little'],['cheap','under 25'],['course', 'lesson', 'workshop']] } as any }] });
for (const q of process.argv.slice(2)) { const r = list(s.index, { base: s.listed, text: understand(s, q, 12), sort: 'match', tieOrder: 'featured', offset: 0, limit: 8, last: s.index.posting(LAST, 'yes') }); console.log(q.padEnd(24), r.total, r.dropped.join(',') , '=>', r.slots.map((x) => s.products.get(s.index.id(x))!.title).join(' · ')); }
c.close();
