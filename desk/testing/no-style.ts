/** Stands for style sheets, which say nothing where nothing is painted. */
export default {};
