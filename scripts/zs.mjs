import puppeteer from 'puppeteer-core';
import { execFileSync } from 'node:child_process';
const [,, out, ...paths] = process.argv;
const b = await puppeteer.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox','--disable-gpu','--disable-quic']});
let n=0;
for (const path of paths) {
  const files=[];
  for (const [w,h] of [[1280,800],[768,1024]]) for (const theme of ['light','dark']) {
    const p = await b.newPage(); await p.setViewport({width:w,height:h});
    await p.emulateMediaFeatures([{name:'prefers-color-scheme',value:theme}]);
    await p.goto('http://127.0.0.1:5198'+path,{waitUntil:'load'});
    try { await p.waitForFunction(()=>document.documentElement.dataset.alive==='true'&&document.fonts.status==='loaded',{timeout:20000});
    await p.waitForFunction(()=>document.querySelector('[data-drawn="coarse"]')===null && [...document.images].every(i=>i.complete||i.getBoundingClientRect().top>innerHeight),{timeout:30000}); } catch(e){console.log(path,'timeout')}
    const f=`/tmp/x/s/${w}-${theme}.png`; await p.screenshot({path:f}); files.push(f); await p.close();
  }
  const o=`/tmp/x/s/${out}${n++}.png`;
  execFileSync('bash',['-c',`/usr/bin/convert \\( ${files[0]} ${files[1]} +append -resize 1560x \\) \\( ${files[2]} ${files[3]} +append -resize 1560x \\) -append ${o}`]);
  console.log(o,path);
}
await b.close();
