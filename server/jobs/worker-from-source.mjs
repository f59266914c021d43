// While Dispona is developed there is no built worker: this one runs it from its TypeScript.
import { tsImport } from 'tsx/esm/api';

await tsImport('./worker.ts', import.meta.url);
