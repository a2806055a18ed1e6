// The words of this screen, in the order in which they stand there.

export const diary = {
  trialDiary: 'Trial diary',
  theSameTasksWithEvery:
    'The same tasks with every vendor, so that marks can be compared. What a quality takes from the diary is the mean of a vendor’s marks.',
  task: 'Task',
  allTogether: 'All together',
  noMarkYet: 'no mark yet',
  of10: (number: string) => `${number} of 10`,
  minutes: (number: string) => `, ${number} minutes`,
  ofTasks: (tried: number, tasks: number, minutes: string) => `${tried} of ${tasks} tasks${minutes}`,
  aTask: 'a task',
  oneMoreTask: 'One more task',
  tryAnotherVendor: 'Try another vendor',
  choose: 'choose …',
  whatIsToBeDone: 'what is to be done',
  removeTheTask: (task: string) => `Remove the task: ${task}`,
  aTaskRemoved: 'a task removed',
  remove: 'remove',
  trialEndsOn: 'Trial ends on',
  theTrialOf: (label: string) => `the trial of ${label}`,
  isOver: 'is over',
  endsToday: 'ends today',
  oneDay: 'one day',
  days: (days: number) => `${days} days`,
  left: (oneDay: string) => `${oneDay} left`,
};
