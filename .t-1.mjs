import { page, base, signIn, shot, end } from './.t-look.mjs';
await signIn();
await page.goto(base + '/desk/prices'); await page.waitForTimeout(2500); await shot('prices');
await page.goto(base + '/p/harrier-delta-180'); await page.waitForTimeout(800); await shot('product');
await page.getByRole('button', { name: 'Add to basket' }).first().click(); await page.waitForTimeout(1500); await shot('drawer');
await page.goto(base + '/checkout'); await page.waitForTimeout(1000); await shot('checkout');
await end();
