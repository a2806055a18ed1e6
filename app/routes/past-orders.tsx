import { Button, Progress } from 'antd';
import { orderFiles } from '#data/past-orders';
import { Belonging } from '../past-orders/belonging';
import { CourseChart } from '../past-orders/course-chart';
import { EstimatesTable } from '../past-orders/estimates-table';
import { OrderFiles } from '../past-orders/order-files';
import { SpreadOfPast } from '../past-orders/spread-of-past';
import { type PastOrdersHere, usePastOrders } from '../past-orders/use-past-orders';
import { WouldHaveCost } from '../past-orders/would-have-cost';
import { database } from '../server/database.server';
import { useWorkbench } from '../workbench/workbench-context';
import { whileAway } from '../workbench/while-away';
import '../past-orders/past-orders.css';
import type { Route } from './+types/past-orders';
import { pastOrders as words } from './words/past-orders';

export async function loader({ params: { decisionId } }: Route.LoaderArgs) {
  return { files: await orderFiles(await database(), decisionId) };
}

export function clientLoader({ serverLoader }: Route.ClientLoaderArgs) {
  return whileAway(serverLoader, () => ({ files: [] }));
}

/** Orders that were placed: what they would have cost with every candidate, and what they say about those to come. */
export default function PastOrders({ loaderData: { files } }: Route.ComponentProps) {
  const { currency } = useWorkbench().state.workbench.decision;
  const here = usePastOrders(files);
  const { answer, answering } = here;
  const isEmpty = files.length === 0;
  return (
    <main className="work past-orders" aria-label={words.pastOrders}>
      {isEmpty && (
        <>
          <h2>{words.whatYourOwnOrders}</h2>
          <p>{words.dropTheOrdersOfTheLast}</p>
        </>
      )}
      {!isEmpty && (!answer || (typeof answering === 'number' && answering > 0)) && <Answering here={here} />}
      {!isEmpty && answering === 'stopped' && (
        <p role="status">
          {words.stopped(answer && words.whatStandsBelowWas)} <Button onClick={here.answerAgain}>{words.workItOut}</Button>
        </p>
      )}
      {!isEmpty && answer?.replay && <WouldHaveCost replay={answer.replay} currency={currency} />}
      {!isEmpty && answer && answer.course.length > 0 && <CourseChart course={answer.course} />}
      {!isEmpty && answer && <EstimatesTable estimates={answer.estimates} />}
      {!isEmpty && answer?.spread && <SpreadOfPast spread={answer.spread} />}
      <h2 className={isEmpty ? 'visually-hidden' : undefined}>{words.whereTheyComeFrom}</h2>
      {!isEmpty && answer && <Belonging own={answer.own} />}
      <OrderFiles files={files} here={here} />
    </main>
  );
}

/** Says how far it is while many orders are charged, and ends it if that is wanted. */
function Answering({ here: { answering, stopAnswer } }: { here: PastOrdersHere }) {
  if (answering === 'stopped') return null;
  return (
    <div className="order-progress" role="status">
      <span>{words.workingOutWhatYourOrders}</span>
      {answering > 0 && <Progress percent={Math.round(answering * 100)} size="small" />}
      {answering > 0 && (
        <Button size="small" onClick={stopAnswer}>
          {words.stop}
        </Button>
      )}
    </div>
  );
}
