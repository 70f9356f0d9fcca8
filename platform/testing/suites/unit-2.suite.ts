import { together } from "../together";

together("unit", 2, 4);
