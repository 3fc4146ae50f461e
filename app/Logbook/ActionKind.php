<?php

declare(strict_types=1);

namespace App\Logbook;

/** What a person can do to the logbook. */
enum ActionKind: string
{
    case Arrive = 'arrive';
    case CorrectOpening = 'correct_opening';
    case EstimateDistance = 'estimate_distance';
    case ChangeEstimate = 'change_estimate';
    case SetCommute = 'set_commute';
    case ConfirmCommute = 'confirm_commute';
    case NotRidden = 'not_ridden';
    case MoveRides = 'move_rides';
    case SetCondition = 'set_condition';
    case SplitRide = 'split_ride';
    case CorrectFitting = 'correct_fitting';
    case AddBike = 'add_bike';
    case ChangeBike = 'change_bike';
    case AddChain = 'add_chain';
    case ChangeChain = 'change_chain';
    case RetireChain = 'retire_chain';
    case FitChain = 'fit_chain';
    case LogRide = 'log_ride';
    case TakeInRides = 'take_in_rides';
    case EditRide = 'edit_ride';
    case DipChains = 'dip_chains';
    case StripChain = 'strip_chain';
    case ReportOil = 'report_oil';
    case FinishStrip = 'finish_strip';
    case GiveUpStrip = 'give_up_strip';
    case AddJar = 'add_jar';
    case TendJar = 'tend_jar';
    case ChangeJar = 'change_jar';
    case RemoveThing = 'remove_thing';
    case AddPot = 'add_pot';
    case ChangePot = 'change_pot';
    case RemovePot = 'remove_pot';
    case TendBath = 'tend_bath';
    case PotDay = 'pot_day';
    case CorrectPotDay = 'correct_pot_day';
    case CalibratePot = 'calibrate_pot';
    case KeepInstrument = 'keep_instrument';
    case AddPart = 'add_part';
    case FitPart = 'fit_part';
    case LookAtTeeth = 'look_at_teeth';
    case RetirePart = 'retire_part';
    case SetPrice = 'set_price';
    case AddLink = 'add_link';
    case KeepProtocol = 'keep_protocol';
    case DropProtocol = 'drop_protocol';
    case TopUpChain = 'top_up_chain';
    case WipeDownChain = 'care_for_chain';
    case KeepBottle = 'keep_bottle';
    case RecordReading = 'record_reading';
    case ConvertBike = 'convert_bike';
    case BrushDrivetrain = 'brush_drivetrain';
    case ReportNoise = 'report_noise';
    case MoveEntry = 'move_entry';
    case DeleteEntry = 'delete_entry';
    case ChangeWorkshop = 'change_workshop';
    case PlanRide = 'plan_ride';
    case KeepPlan = 'keep_plan';
    case Undo = 'undo';
}
