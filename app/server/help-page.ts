import type { Response } from 'express';

const escape = (text: string) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('"', '&quot;');

/** What stands below the text of a plain page; the way back to the decisions where nothing is said. */
export interface HelpPageParts {
  /** HTML of our own. */
  readonly below?: string;
  readonly commands?: readonly string[];
}

/** A plain page that says what is the case and leads back; for what never reaches the application. */
export function helpPage(
  response: Response,
  status: number,
  title: string,
  text: string,
  { below = '<p><a href="/decisions">Back to your decisions</a></p>', commands = [] }: HelpPageParts = {},
): void {
  response.status(status).type('html').set('Cache-Control', 'no-store').send(`<!doctype html>
<html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><meta name="color-scheme" content="light dark"><title>${escape(title)} · Venalis</title>
<style>body{margin:12vh auto;max-width:36rem;padding:0 1.5rem;background:#F5F2EA;color:#1B2636;font:1rem/1.55 'Libre Franklin',system-ui,sans-serif}h1{font:500 1.7rem/1.25 Newsreader,Georgia,serif}a{color:#A63A22}
pre{padding:.7rem 1rem;border:1px solid #DCD5C6;background:#FCFAF5;white-space:pre-wrap;overflow-wrap:anywhere}label{display:block;margin:1.2rem 0 .3rem}input{font:inherit;padding:.45rem .6rem;border:1px solid #8a8474;background:#FCFAF5;color:inherit;width:100%;max-width:22rem;box-sizing:border-box}
button{font:inherit;margin-top:1rem;padding:.45rem 1.1rem;border:1px solid #A63A22;background:#A63A22;color:#fff;cursor:pointer}:focus-visible{outline:2px solid #A63A22;outline-offset:2px}.problem{color:#A63A22}
@media(prefers-color-scheme:dark){body{background:#171B22;color:#E9E4D8}a,.problem{color:#F0937C}pre,input{background:#1F252E;border-color:#4A5260}}</style>
<h1>${escape(title)}</h1><p>${escape(text)}</p>${commands.map((one) => `<pre>${escape(one)}</pre>`).join('')}${below}</html>`);
}
