using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Circuitum.Storage.Migrations
{
    /// <inheritdoc />
    public partial class Steps : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<DateTime>(name: "Stepped", table: "Revisions", type: "TEXT", nullable: true);

            migrationBuilder.AddColumn<string>(name: "SteppedBy", table: "Revisions", type: "TEXT", nullable: false, defaultValue: "");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(name: "Stepped", table: "Revisions");

            migrationBuilder.DropColumn(name: "SteppedBy", table: "Revisions");
        }
    }
}
