/** Styles inside of the element; nothing of the page comes in, and nothing goes out. */
export const style = `
:host { all: initial; display: block; container-type: inline-size; font-family: inherit; color-scheme: light }
:host([hidden]) { display: none }
* { box-sizing: border-box }
.all { font-size: var(--size); line-height: 1.45; color: var(--ink); background: var(--ground); font-family: var(--type);
  border-radius: var(--corners); padding: var(--room) }
h2, h3, p, ul, dl, dd, figure { margin: 0; padding: 0 }
h2 { font-size: 1.5em; line-height: 1.2 } h3 { font-size: 1.05em }
.sub { opacity: .8; margin-top: .25em }
ul { list-style: none }
.goods { display: grid; grid-template-columns: repeat(var(--phone), minmax(0, 1fr)); gap: 1.25em 1em; margin-top: 1em }
.goods.row { display: flex; overflow-x: auto; scroll-snap-type: x mandatory; padding-bottom: .5em }
.goods.row > li { flex: 0 0 calc((100% - (var(--phone) - 1) * 1em) / var(--phone)); scroll-snap-align: start }
@container (min-width: 40rem) {
  .goods { grid-template-columns: repeat(var(--columns), minmax(0, 1fr)) }
  .goods.row > li { flex-basis: calc((100% - (var(--columns) - 1) * 1em) / var(--columns)) }
}
button, a.button, input { font: inherit; color: inherit }
button { background: none; border: 0; padding: 0; cursor: pointer; text-align: inherit }
:focus-visible { outline: 2px solid var(--accent); outline-offset: 2px; border-radius: 4px }
.card { display: flex; flex-direction: column; gap: .25em; width: 100%; height: 100% }
.frame { display: block; width: 100%; aspect-ratio: 1; border-radius: var(--corners); overflow: hidden; background: #f1f1ef; position: relative }
.frame img { display: block; width: 100%; height: 100%; object-fit: cover; max-width: none; border: 0 }
.frame img.fits { object-fit: contain }
.badges { position: absolute; left: .5em; top: .5em; display: flex; flex-direction: column; gap: .25em; align-items: flex-start }
.badges span { background: #fff; color: #20303a; font-size: .75em; font-weight: 600; padding: .15em .6em; border-radius: 99px }
.title { font-weight: 600; overflow-wrap: anywhere }
.card:hover .title { text-decoration: underline; text-underline-offset: .2em }
.quiet { opacity: .75; font-size: .85em }
.price { font-variant-numeric: tabular-nums }
.price s { opacity: .75; margin-left: .5em }
.swatches { display: flex; gap: .25em } .swatches i { width: .8em; height: .8em; border-radius: 50%; box-shadow: 0 0 0 1px #0002 }
dialog { border: 0; padding: 0; width: min(64rem, calc(100vw - 2rem)); max-height: calc(100dvh - 2rem); border-radius: var(--corners);
  color: var(--ink); background: var(--paper); font-size: var(--size); line-height: 1.5; font-family: var(--type); box-shadow: 0 1rem 4rem #0005; overflow: auto }
dialog::backdrop { background: #0007 }
.bar { position: sticky; top: 0; z-index: 2; display: flex; justify-content: space-between; gap: 1em; padding: .6em 1.2em; background: var(--paper); border-bottom: 1px solid #0001 }
.bar button { padding: .3em .6em; border-radius: .5em } .bar button:hover { background: #0001 }
.detail { display: grid; gap: 1.5em; padding: 1.2em }
@media (min-width: 48rem) { .detail { grid-template-columns: 1fr 1fr } }
.thumbs { display: flex; flex-wrap: wrap; gap: .5em; margin-top: .5em }
.thumbs button { width: 3.5em; height: 3.5em; border-radius: calc(var(--corners) / 2); overflow: hidden; opacity: .7 }
.thumbs button[aria-pressed=true] { opacity: 1; box-shadow: 0 0 0 2px var(--accent) }
.thumbs img { width: 100%; height: 100%; object-fit: cover; display: block }
.big { font-size: 1.35em; font-weight: 600; margin-top: .4em }
fieldset { border: 0; margin: 1em 0 0; padding: 0; min-width: 0 } legend { padding: 0; font-weight: 600; margin-bottom: .3em }
.chips { display: flex; flex-wrap: wrap; gap: .4em }
.chips button { padding: .35em .8em; border: 1px solid #0003; border-radius: 99px; display: inline-flex; gap: .4em; align-items: center }
.chips button[aria-pressed=true] { border-color: var(--accent); box-shadow: inset 0 0 0 1px var(--accent); font-weight: 600 }
.chips button.gone { opacity: .55; text-decoration: line-through }
.buy { display: flex; flex-wrap: wrap; gap: .6em; align-items: end; margin-top: 1.2em }
.buy label { font-size: .85em } .buy input { display: block; width: 4.5em; padding: .5em; border: 1px solid #0003; border-radius: .5em; background: #fff; color: #20303a }
.main { background: var(--accent); color: var(--on); padding: .6em 1.2em; border-radius: .6em; font-weight: 600; text-decoration: none; display: inline-block }
.main:hover { filter: brightness(.93) } .main[disabled] { opacity: .5; cursor: default }
a { color: var(--link) }
.told { overflow-wrap: anywhere; margin-top: 1.2em } .told p, .told ul, .told ol { margin: .6em 0 } .told ul { list-style: disc; padding-left: 1.4em }
.told ol { padding-left: 1.4em } .told img { max-width: 100%; height: auto } .told table { border-collapse: collapse } .told td, .told th { border: 1px solid #0002; padding: .3em .6em }
.facts { display: grid; grid-template-columns: minmax(7em, max-content) 1fr; gap: .2em 1em; margin-top: .5em } .facts dt { opacity: .75 }
.more { padding: 0 1.2em 1.2em } .more .goods { grid-template-columns: repeat(auto-fill, minmax(8em, 1fr)) }
.basket { margin-top: 1em; border-top: 1px solid #0002; padding-top: .8em; display: flex; flex-wrap: wrap; gap: .6em 1em; align-items: center; justify-content: space-between }
.basket ul { flex-basis: 100%; display: grid; gap: .3em } .basket li { display: flex; gap: .6em; justify-content: space-between }
.basket li button { text-decoration: underline }
.steps { display: flex; gap: .4em; justify-content: flex-end; margin-top: .4em } .steps button { padding: .3em .7em; border: 1px solid #0003; border-radius: 99px }
[role=status] { min-height: 1.4em; margin-top: .5em }
@media (prefers-reduced-motion: no-preference) { .goods.row { scroll-behavior: smooth } }
`;
