let t = performance.now();
let h = 0;
for (let i = 0; i < 3e8; i++) {
  h = (Math.imul(h, 31) + i) | 0;
}
console.log('cal', (performance.now() - t).toFixed(0), h);
