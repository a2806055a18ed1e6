import postcss, { type AtRule } from 'postcss';
import type { Plugin } from 'vite';

/** The component library's parts this application uses; styles of all others are left out of the build. */
const USED = new Set([
  'btn',
  'input',
  'select',
  'tooltip',
  'popover',
  'wave',
  'empty',
  'checkbox',
  'radio',
  'css',
  'slide',
  'zoom',
  'motion',
  'compact',
]);

const isUsed = (selector: string) => [...selector.matchAll(/(?<![a-z])ant-([a-z]+)/g)].every((match) => USED.has(match[1] ?? ''));

/**
 * Removes the rules of a stylesheet that style only parts of the component library that are not used.
 */
export function keepUsedRules(css: string): string {
  const root = postcss.parse(css);
  root.walkRules((rule) => {
    if (rule.parent?.type === 'atrule' && /keyframes$/.test((rule.parent as AtRule).name)) return;
    const kept = rule.selectors.filter(isUsed);
    if (kept.length === 0) rule.remove();
    else rule.selectors = kept;
  });
  root.walkAtRules((atRule) => {
    if (atRule.nodes?.length === 0 || (/keyframes$/.test(atRule.name) && !isUsed(atRule.params.toLowerCase()))) atRule.remove();
  });
  return root.toString();
}

/** Vite plugin: the library's stylesheet holds every component; ships only what is used of it. */
export function onlyUsedComponentStyles(): Plugin {
  return {
    name: 'only-used-component-styles',
    enforce: 'pre',
    transform(code, id) {
      return id.includes('antd/dist/antd.css') ? { code: keepUsedRules(code), map: null } : null;
    },
  };
}
