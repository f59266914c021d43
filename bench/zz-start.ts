import { Catalog } from '../server/catalog/catalog';
import { updateProduct } from '../server/database/products';
const t=performance.now(); const c = new Catalog('/tmp/bigdb'); console.log('start', performance.now()-t, 'edition', c.live.edition);
if (c.live.edition===0) { const t=performance.now(); c.putLive('first',null); console.log('first edition', performance.now()-t); }
const ids=[...c.working.products.keys()].slice(0,1000);
{const t=performance.now(); c.journal.change('x', c.actor(null), ()=>{ for (const id of ids) updateProduct(c.db,id,{summary:'S '+Math.random()})}); console.log('change 1000', performance.now()-t);}
{const t=performance.now(); c.putLive('second',null); console.log('put', performance.now()-t);}
{const t=performance.now(); c.goBack(c.live.edition-1,'back',null); console.log('back', performance.now()-t);}
{const t=performance.now(); c.putLive('third',null); console.log('put', performance.now()-t);}
c.close();
