// The words of this screen, in the order in which they stand there.

export const start = {
  start: 'Start',
  whatDoYouSell: 'What do you sell?',
  whatDoYouSellAnd: 'What do you sell, and about how much?',
  oneGuessIsEnough: 'One guess is enough to begin with. Everything can be made finer later, and nothing here has to be filled in.',
  whatDoYouPay: 'What do you pay now?',
  whatDoVendorsCharge: 'What do vendors charge?',
  whatIsItAbout: 'What is it about?',
  theQuestionToDecide: 'The question to decide',
  theQuestion: 'the question',
  soFar: 'So far',
};
