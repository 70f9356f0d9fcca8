import { together } from "../together";

together("unit", 1, 4);
