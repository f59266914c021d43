import { Buffer } from 'node:buffer';
import sharp from 'sharp';

/** Draws the SVG that comes in as a PNG that goes out: in a process of its own, which can be stopped. */

/** Who started it stops it sooner; when that one has died, it stops itself, which a drawing thread would not let it do kindly. */
const LAST_MS = 15_000;
setTimeout(() => process.kill(process.pid, 'SIGKILL'), LAST_MS).unref();

const chunks = [];
for await (const chunk of process.stdin) chunks.push(chunk);
const [most, pixels] = process.argv.slice(2).map(Number);
const drawn = await sharp(Buffer.concat(chunks), { limitInputPixels: pixels })
  .resize(most, most, { fit: 'inside', withoutEnlargement: true })
  .png({ compressionLevel: 1 })
  .toBuffer();
process.stdout.write(drawn);
