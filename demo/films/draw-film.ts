import { writeFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { paletteOf } from '../pictures/palette';
import { drawPicture } from '../pictures/scene';
import { shapes } from '../pictures/shapes';
import { seeded } from '../random';

/**
 * Draws the film of the demo shop, a kite that climbs over a dune, and writes it beside this file. Run once by hand
 * (npx tsx demo/films/draw-film.ts): a browser makes the film, which seeding a shop must not need.
 */
const palette = paletteOf('Ember');
const dune = drawPicture({ width: 960, height: 540, seed: 11, shape: 'reel', palette, scene: 'dune', scale: 0.001 });
const kite = `<svg xmlns="http://www.w3.org/2000/svg" width="270" height="270" viewBox="-135 -135 270 270">${shapes.delta(palette, seeded(5))}</svg>`;
const address = (svg: string) => `data:image/svg+xml;base64,${Buffer.from(svg).toString('base64')}`;

/** Runs in the page: draws seven seconds, and answers the film as bytes. */
const script = `(async () => {
  const load = (src) => new Promise((done) => {
    const image = new Image();
    image.onload = () => done(image);
    image.src = src;
  });
  const [dune, kite] = [await load(${JSON.stringify(address(dune))}), await load(${JSON.stringify(address(kite))})];
  const canvas = document.body.appendChild(document.createElement('canvas'));
  [canvas.width, canvas.height] = [960, 540];
  const brush = canvas.getContext('2d');
  const recorder = new MediaRecorder(canvas.captureStream(25), { mimeType: 'video/webm', videoBitsPerSecond: 500000 });
  const parts = [];
  recorder.ondataavailable = ({ data }) => parts.push(data);
  recorder.start();
  const begin = performance.now();
  for (let at = 0; at < 7; at = (performance.now() - begin) / 1000) {
    const height = 1 - Math.exp(-at * 0.6);
    const x = 300 + 330 * height + 40 * Math.sin(at * 1.7);
    const y = 470 - 340 * height + 14 * Math.sin(at * 2.9);
    brush.drawImage(dune, 0, 0);
    brush.strokeStyle = '#ffffffb0';
    brush.beginPath();
    brush.moveTo(120, 500);
    brush.quadraticCurveTo(x - 120, 480, x, y + 20);
    brush.stroke();
    brush.save();
    brush.translate(x, y);
    brush.rotate(0.12 * Math.sin(at * 2.3));
    brush.drawImage(kite, -95, -95, 190, 190);
    brush.restore();
    await new Promise(requestAnimationFrame);
  }
  await new Promise((done) => {
    recorder.onstop = done;
    recorder.stop();
  });
  return [...new Uint8Array(await new Blob(parts).arrayBuffer())];
})()`;

const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
const page = await browser.newPage();
const film: number[] = await page.evaluate(script);
await browser.close();
writeFileSync(new URL('first-climb.webm', import.meta.url), Buffer.from(film));
