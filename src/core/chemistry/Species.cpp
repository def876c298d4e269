#include "core/chemistry/Species.h"

#include "core/base/Constants.h"

namespace anodex::chemistry {

double lnFormationConstant(const Formation& formation, double temperatureKelvin) {
    return base::kLn10 * formation.log10K - formation.enthalpyJoulesPerMole / base::kGasConstant *
                                                (1.0 / temperatureKelvin - 1.0 / base::kStandardTemperature);
}

} // namespace anodex::chemistry
