import { measureServer } from './server';
const f = await measureServer(50000, console.log);
console.log(f);
