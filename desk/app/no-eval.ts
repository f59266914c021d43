import { z } from 'zod';

/** The desk's content policy forbids code made at run time, so Zod is told not to try. Imported before anything else. */
z.config({ jitless: true });
