/** Styles as a careless site has them: what stands in it must not care. */
export const sampleStyle = `
* { box-sizing: content-box }
body { margin: 0; font: 17px/1.6 Georgia, serif; color: #3a2f2a; background: #fbf4ea }
header, main, footer { max-width: 62rem; margin: 0 auto; padding: 1.2rem 1.5rem }
h1, h2, h3 { font-family: Georgia, serif; color: #7a2d1c; letter-spacing: .02em; margin: .6em 0 }
a { color: #7a2d1c; text-decoration: underline dotted }
button, input, select { font: 900 20px monospace; text-transform: uppercase; border: 4px double red; padding: 20px }
img { border: 3px solid #7a2d1c; max-width: 40px }
ul, ol { padding-left: 3em; list-style: square } li { margin: 1em 0 }
footer { color: #8a7a70; border-top: 1px solid #e3d3c2 }
`;

/** A page of another site, made up, with a place for goods of the shop. */
export const sampleHost = (script: string | undefined): string => `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>A page of another site</title>
<link rel="stylesheet" href="/preview/elsewhere.css">
</head>
<body>
<header><h1>Friends of the wind</h1><p>Notes of a kite club, every other Sunday on the long beach.</p></header>
<main>
<p>A page of another site, with styles of its own. What stands below comes from your shop.</p>
<dispona-goods></dispona-goods>
<p>We meet at the third groyne. Bring gloves.</p>
</main>
<footer>Friends of the wind. A made-up club.</footer>
${script ? `<script type="module" src="/embed/${script}"></script>` : ''}
</body>
</html>
`;
