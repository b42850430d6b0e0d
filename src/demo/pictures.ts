/** A picture for the demo, drawn here: the end of the grindstone's motor with its hump open. */
const OPEN_HUMP = `<svg xmlns="http://www.w3.org/2000/svg" width="1280" height="960">
<rect width="1280" height="960" fill="#565d5c"/>
<rect x="250" y="360" width="780" height="460" rx="60" fill="#7d8684" stroke="#222" stroke-width="10"/>
<g stroke="#5c6462" stroke-width="10"><path d="M290 430h700M290 510h700M290 590h700M290 670h700M290 750h700"/></g>
<circle cx="250" cy="590" r="120" fill="#959d9b" stroke="#222" stroke-width="10"/><circle cx="250" cy="590" r="34" fill="#d5d8d8" stroke="#222" stroke-width="6"/>
<rect x="420" y="170" width="440" height="200" rx="30" fill="#3c4241" stroke="#222" stroke-width="10"/>
<rect x="470" y="210" width="270" height="110" rx="50" fill="#1f2324" stroke="#0d0f0f" stroke-width="6"/>
<g fill="#c8b27a" stroke="#222" stroke-width="4"><rect x="735" y="230" width="34" height="26"/><rect x="735" y="276" width="34" height="26"/></g>
<path d="M769 243h110q60 0 60 70v80" fill="none" stroke="#1f5fa8" stroke-width="18"/>
<path d="M769 289h80q60 0 60 60v44" fill="none" stroke="#7a4a21" stroke-width="18"/>
<g fill="#cfd3d3" stroke="#222" stroke-width="5"><circle cx="395" cy="392" r="24"/><circle cx="885" cy="392" r="24"/></g>
<g stroke="#222" stroke-width="5"><path d="M381 378l28 28M409 378l-28 28M871 378l28 28M899 378l-28 28"/></g>
</svg>`;

/** Demo pictures by name: drawings that are turned into pictures when the demo is made. */
export const DEMO_PICTURES: ReadonlyMap<string, string> = new Map(
  Object.entries<string>({ "open-hump": OPEN_HUMP }),
);
