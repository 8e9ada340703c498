/** Names the folder in which the server keeps its data, for those who are given it. */
export const dataFolder = Symbol('the data folder');
