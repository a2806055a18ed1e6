import { Button } from 'antd';
import Input from 'antd/es/input/Input';
import { useId } from 'react';
import { Form } from 'react-router';

/** A question in a sentence to begin a decision with: what it says of sales is filled in. */
export function AskQuestion() {
  const id = useId();
  return (
    <Form method="post" className="ask-question">
      <input type="hidden" name="intent" value="ask" />
      <label htmlFor={id}>Or begin with a question</label>
      <Input
        id={id}
        name="question"
        variant="underlined"
        autoComplete="off"
        maxLength={300}
        required
        placeholder="30 courses a year at 60, is the dearer plan worth it?"
      />
      <Button htmlType="submit">Begin with it</Button>
    </Form>
  );
}
