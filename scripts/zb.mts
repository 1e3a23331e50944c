import { bodyWithin } from '../src/core/pattern/body';
import { Push, stood } from '../src/core/pattern/maps/push';
import { rectangle } from '../src/core/pattern/section';
import { chanceFrom } from '../src/core/pattern/seeded';
const section = rectangle(60,30); const chance = chanceFrom(7);
const at = { x: 12, y: -4.5 }; const wall = section.starAt(at.x, at.y)!;
const volume = .3*section.area*9; const top = 9+volume/section.area;
const { profile, area } = stood(volume, { still: 2, top, room: section.area }, { from: 'low' })!;
console.log(profile, area/section.area);
const push = new Push({ at, wall, profile, still: 2, matter: 1, body: bodyWithin(wall, area, chance, { waves: 5, much: .1 }) });
const J: number[] = []; const h = 1e-4;
for (let i = 0; i < 20000; i++) {
  const p = { x: (chance()*2-1)*59, y: (chance()*2-1)*29, z: 2.1+chance()*9 };
  const f = (dx:number,dy:number,dz:number)=>{ const q={x:p.x+dx,y:p.y+dy,z:p.z+dz}; const m=push.undo(q); return m>=0?undefined:q; };
  const a=f(h,0,0),b=f(-h,0,0),c=f(0,h,0),d=f(0,-h,0),e=f(0,0,h),g=f(0,0,-h);
  if(!a||!b||!c||!d||!e||!g) continue;
  const m=[[a.x-b.x,c.x-d.x,e.x-g.x],[a.y-b.y,c.y-d.y,e.y-g.y],[a.z-b.z,c.z-d.z,e.z-g.z]].map(r=>r.map(v=>v/(2*h)));
  J.push(m[0][0]*(m[1][1]*m[2][2]-m[1][2]*m[2][1])-m[0][1]*(m[1][0]*m[2][2]-m[1][2]*m[2][0])+m[0][2]*(m[1][0]*m[2][1]-m[1][1]*m[2][0]));
}
J.sort((a,b)=>a-b); console.log(J.length, J[0], J[J.length>>4], J[J.length>>1], J[J.length-1-(J.length>>4)], J[J.length-1]);
