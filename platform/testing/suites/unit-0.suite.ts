import { together } from "../together";

together("unit", 0, 4);
