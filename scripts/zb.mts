import { cards } from '../demo/cards';
import { nightHeron, saltings } from '../demo/plans';
import { cutUp } from '../src/core/plan/bars';
import { pieceOf } from '../src/core/plan/picture';
for (const [p,n] of [[saltings,40],[nightHeron,10]] as any) { const piece = pieceOf(p, cards, {}, {})!; const { engine, prism } = piece.traced;
 const all = engine.level*prism.shaped.section.area/1000; for (const how of ['straight','on the diagonal','into logs'] as const) { const c = cutUp(piece,{pieces:n,how,kerf:0}); console.log(how, c.bars.reduce((s,b)=>s+b.ml,0)/all, c.lostMl, all); }
 console.log(prism.shaped.scaleAt(0), prism.shaped.scaleAt(10), prism.shaped.section.half); }
