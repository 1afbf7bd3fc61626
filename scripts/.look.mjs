// look.mjs OUT PLACE 'acts' [w h]
import { chromium } from '@playwright/test';
import { CHROMIUM } from '/work/main/scripts/lib/prepare.mjs';
const [out, place, acts = '', w = '1280', h = '800'] = process.argv.slice(2);
const browser = await chromium.launch({ executablePath: CHROMIUM, args: ['--no-sandbox', '--disable-gpu'] });
const page = await browser.newPage({ viewport: { width: +w, height: +h }, timezoneId: 'Europe/London', hasTouch: +w === 1024 });
page.on('console', (m) => m.type() === 'error' && console.log('console', m.text()));
page.on('pageerror', (e) => console.log('pageerror', e.message));
await page.clock.install({ time: new Date('2026-11-24T13:42:00Z') });
const origin = 'http://127.0.0.1:4291';
await page.goto(`${origin}/?shop=demo`);
await page.getByRole('link', { name: /Flood 2, Viaduct/ }).waitFor();
if (place && place !== '/') { await page.goto(origin + place); await page.waitForTimeout(900); }
const shot = (n) => page.screenshot({ path: n ?? out });
const stage = async (name, st) => { await page.goto(origin+'/pieces'); await page.getByRole('heading', { name }).first().click(); await page.getByRole('navigation', { name: 'Stages of the piece' }).getByRole('link', { name: new RegExp(st, 'i') }).click(); await page.waitForURL(new RegExp(`/${st}$`)); await page.waitForTimeout(700); };
if (acts) await (new Function('page', 'shot', 'stage', 'origin', `return (async () => { ${acts} })()`))(page, shot, stage, origin);
await page.waitForTimeout(400);
await shot();
await browser.close();
