import { chromium } from 'playwright';
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--headless','--no-sandbox','--disable-gpu','--disable-quic','--no-first-run','--disable-background-networking','--disable-component-update','--disable-sync'] });
export const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
page.on('console', (m) => m.type() === 'error' && console.log('console:', m.text()));
page.on('pageerror', (e) => console.log('pageerror:', e.message));
export const base = 'http://127.0.0.1:4700';
export const signIn = async () => {
  await page.goto(base + '/desk');
  await page.getByLabel(/e-mail|mail/i).first().fill('demo@larkandline.example');
  await page.getByLabel(/password/i).fill('kites-in-the-wind');
  await page.getByRole('button', { name: /sign in/i }).click();
  await page.getByRole('link', { name: 'Goods' }).waitFor();
};
export const shot = (name) => page.screenshot({ path: `/tmp/w/${name}.png` });
export const end = () => browser.close();
