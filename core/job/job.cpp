#include "job/job.h"

namespace tavlo {

Wishes wishes_of(const Asked& asked) {
    const Job& job = asked.job;
    return {job.operation, job.policy, asked.decisions, job.clearing, job.may_lose};
}

bool same_places(const Job& one, const Job& other) {
    return one.what == other.what && one.into == other.into && one.structure == other.structure && one.naming == other.naming &&
           (one.operation == Operation::rename) == (other.operation == Operation::rename);
}

}  // namespace tavlo
