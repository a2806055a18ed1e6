// The words of this screen, in the order in which they stand there.

export const pastOrdersData = {
  theseOrdersAreNotExpected: 'these orders are not expected here',
  notFound: 'Not found',
};
