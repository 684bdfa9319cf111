/** Where the planner’s script leaves its tasks when a page loads it, for a program of its own exports nothing. */
export const tasksInPageKey = 'rangoliTasks';
