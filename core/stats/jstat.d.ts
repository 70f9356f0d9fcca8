declare module "jstat" {
  export const jStat: {
    studentt: { cdf(x: number, dof: number): number; inv(p: number, dof: number): number };
    normal: { cdf(x: number, mean: number, std: number): number; inv(p: number, mean: number, std: number): number };
    chisquare: { pdf(x: number, dof: number): number; inv(p: number, dof: number): number };
  };
}
