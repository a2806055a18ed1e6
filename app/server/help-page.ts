import type { Response } from 'express';

const escape = (text: string) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;');

/** Answers with a plain page that says what is the case and leads back; for what never reaches the application. */
export function helpPage(response: Response, status: number, title: string, text: string): void {
  response.status(status).type('html').send(`<!doctype html>
<html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>${escape(title)} · Venalis</title>
<style>body{margin:12vh auto;max-width:34rem;padding:0 1.5rem;background:#F5F2EA;color:#1B2636;font:1rem/1.5 system-ui,sans-serif}h1{font:500 1.6rem/1.25 Georgia,serif}a{color:#A63A22}</style>
<h1>${escape(title)}</h1><p>${escape(text)}</p><p><a href="/">Back to your decisions</a></p></html>`);
}
