// Gathers what the pages need under wwwroot/built: the style sheet, the fonts, htmx and the pages' own script.
import { execFileSync } from "node:child_process";
import { copyFileSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
const web = join(root, "src", "VerdantSieve.Web");
const built = join(web, "wwwroot", "built");
mkdirSync(built, { recursive: true });

const from = (...path) => join(root, "node_modules", ...path);
const copies = [
  [from("@fontsource-variable", "newsreader", "files", "newsreader-latin-wght-normal.woff2"), "newsreader.woff2"],
  [from("@fontsource-variable", "newsreader", "files", "newsreader-latin-wght-italic.woff2"), "newsreader-italic.woff2"],
  [from("@fontsource-variable", "figtree", "files", "figtree-latin-wght-normal.woff2"), "figtree.woff2"],
  // For sheets as PDF, which are written on the server and need faces of their own.
  [from("dejavu-fonts-ttf", "ttf", "DejaVuSans.ttf"), "sheet.ttf"],
  [from("dejavu-fonts-ttf", "ttf", "DejaVuSerif-Italic.ttf"), "sheet-italic.ttf"],
  [join(web, "Scripts", "look.js"), "look.js"],
  [join(web, "Scripts", "meshes.js"), "meshes.js"],
  [join(web, "Scripts", "board.js"), "board.js"],
  [join(web, "Scripts", "ground.js"), "ground.js"],
  [join(web, "Scripts", "pictures.js"), "pictures.js"],
  [join(web, "Scripts", "sending.js"), "sending.js"],
  [join(web, "Scripts", "steps.js"), "steps.js"],
];
for (const [source, name] of copies) copyFileSync(source, join(built, name));

// htmx with the extension that changes a page in place.
const joined = [from("htmx.org", "dist", "htmx.min.js"), from("idiomorph", "dist", "idiomorph.min.js"), from("idiomorph", "dist", "idiomorph-htmx.js")];
writeFileSync(join(built, "htmx.js"), joined.map((source) => readFileSync(source, "utf8")).join("\n;\n"));

execFileSync(process.execPath, [from("@tailwindcss", "cli", "dist", "index.mjs"),
  "-i", join(web, "Styles", "app.css"), "-o", join(built, "app.css"), "--minify"], { stdio: "inherit", cwd: root });
