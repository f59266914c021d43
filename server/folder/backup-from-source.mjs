// While Dispona is developed there is no built thread: this one runs it from its TypeScript.
import { tsImport } from 'tsx/esm/api';

await tsImport('./backup-thread.ts', import.meta.url);
