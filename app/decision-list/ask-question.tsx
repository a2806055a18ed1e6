import { Button } from 'antd';
import Input from 'antd/es/input/Input';
import { useId } from 'react';
import { Form } from 'react-router';
import { askQuestion as words } from './words';

/** A question in a sentence to begin a decision with: what it says of sales is filled in. */
export function AskQuestion() {
  const id = useId();
  return (
    <Form method="post" className="ask-question">
      <input type="hidden" name="intent" value="ask" />
      <label htmlFor={id}>{words.orBeginWithAQuestion}</label>
      <Input
        id={id}
        name="question"
        variant="underlined"
        autoComplete="off"
        maxLength={300}
        required
        placeholder={words.of30CoursesAYear}
      />
      <Button htmlType="submit">{words.beginWithIt}</Button>
    </Form>
  );
}
