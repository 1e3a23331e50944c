import puppeteer from 'puppeteer-core';
const [,, path, out, theme='light', w='1280', h='800', act] = process.argv;
const b = await puppeteer.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox','--disable-gpu','--disable-quic']});
const p = await b.newPage(); await p.setViewport({width:+w,height:+h});
await p.emulateMediaFeatures([{name:'prefers-color-scheme',value:theme}]);
p.on('pageerror',e=>console.log('ERR',e.message));
await p.goto('http://127.0.0.1:5198'+path,{waitUntil:'load'});
await p.waitForFunction(()=>document.documentElement.dataset.alive==='true'&&document.fonts.status==='loaded',{timeout:20000});
if (path.startsWith('/plans/')&&path.split('/').length===3) await p.waitForSelector('[data-drawn="whole"]',{timeout:30000});
if (act) { const r = await (new Function('p','return (async()=>{'+act+'})()'))(p); if(r!==undefined)console.log(JSON.stringify(r)); }
await p.screenshot({path:out}); await b.close();
