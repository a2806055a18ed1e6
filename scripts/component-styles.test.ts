import { expect, it } from 'vitest';
import { keepUsedRules } from './component-styles';

it('keeps the rules of the parts that are used and drops all others', () => {
  const css =
    '.ant-btn{color:red}.ant-btn-variant-text{color:red}.ant-calendar,.ant-input{color:red}@media print{.ant-calendar{color:red}}body{margin:0}';
  expect(keepUsedRules(css)).toBe('.ant-btn{color:red}.ant-btn-variant-text{color:red}.ant-input{color:red}body{margin:0}');
});
