import { chromium } from 'playwright';
const [out, path, script = '', w = '1280', h = '800'] = process.argv.slice(2);
const base = process.env.BASE ?? 'http://127.0.0.1:4700';
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--disable-gpu','--disable-quic','--no-first-run','--disable-background-networking','--disable-component-update','--disable-sync'] });
const context = await browser.newContext({ viewport: { width: +w!, height: +h! }, ...(process.env.JS0 && {javaScriptEnabled:false}) });
const page = await context.newPage();
page.on('pageerror', (e) => console.log('pageerror', e.message));
page.on('console', (m) => m.type()==='error' && console.log('console', m.text()));
if (!process.env.ANON) {
  await page.goto(base + '/desk/');
  await page.getByLabel('E-mail').fill('demo@larkandline.example');
  await page.getByLabel('Password').fill('kites-in-the-wind');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForTimeout(1500);
}
await page.goto(base + path);
await page.waitForTimeout(1500);
if (script) await new Function('page', `return (async()=>{${script}})()`)(page);
await page.waitForTimeout(500);
await page.screenshot({ path: out! });
await browser.close();
