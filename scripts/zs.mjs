import puppeteer from 'puppeteer-core';
const [,, path, out, w='1280', h='800', extra=''] = process.argv;
const b = await puppeteer.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--disable-gpu'] });
const p = await b.newPage(); await p.setViewport({ width: +w, height: +h });
p.on('console', m => { if (m.type() === 'error') console.log('console', m.text()); }); p.on('pageerror', e => console.log('pageerror', e.message));
if (extra.includes('dark')) await p.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: 'dark' }]);
await p.goto('http://127.0.0.1:5198' + path, { waitUntil: 'domcontentloaded' });
await p.waitForFunction(() => document.documentElement.dataset.alive === 'true'); await p.evaluate(() => document.fonts.ready);
const click = extra.match(/click=([^;]+)/); if (click) for (const c of click[1].split('|')) { await p.evaluate((t) => { const e=[...document.querySelectorAll('button,[role=tab],a')].find(x => x.textContent.trim() === t || x.getAttribute('aria-label')===t); e?.scrollIntoView({block:'center'}); e?.click(); }, c); await new Promise(r => setTimeout(r, 900)); }
await new Promise(r => setTimeout(r, +(extra.match(/wait=(\d+)/)?.[1] ?? 2500)));
await p.screenshot({ path: out, fullPage: extra.includes('full') }); await b.close();
